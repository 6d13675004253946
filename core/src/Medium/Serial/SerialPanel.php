<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Frame\FrameField;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Serial\Bought\Exchange;
use Rundfunk\Medium\Serial\Shown\SerialEndFigures;
use Rundfunk\Medium\Serial\Shown\SerialField;
use Rundfunk\Medium\Serial\Shown\SerialFigures;
use Rundfunk\Medium\Serial\Shown\SerialStroke;
use Rundfunk\Medium\Serial\Shown\SerialStrokeKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Protocol;
use Rundfunk\View\DrawsPanel;

/** The figures of the ladder: who speaks when, and how long it takes. */
final readonly class SerialPanel implements DrawsPanel
{
    public function shape(): string
    {
        return SerialFigures::class;
    }

    public function panel(Plan $plan, Link $link, Knowledge $knowledge): SerialFigures
    {
        $line = SerialLine::of($plan, $link);
        $settings = $line->settings;
        $knowledge = $knowledge->of($plan);
        $layout = SerialFrame::layout($settings);
        $round = Exchange::round($plan, $line);
        [$columns, $strokes] = $line->isBought() ? self::commanded($plan, $line, $round) : self::ladder($plan, $line);
        $cycleNs = match (true) {
            $line->isBought() => array_sum(array_map(static fn (Exchange $one): int => $one->lastsNs($line), $round)),
            $settings->topology === Topology::Ring => $line->roundNs(),
            $settings->topology === Topology::Pair => $line->exchangeNs(),
            default => $line->cycleNs(),
        };
        $owned = self::owned($plan, $line);
        $isKnown = count($line->ends) > 1 && ($settings->topology !== Topology::Polled || $line->asker() !== null);

        return new SerialFigures(
            $settings->format(),
            round(1e6 / $settings->baud, 3),
            $line->isBought() ? $line->lengths->question : $layout->lengthBytes,
            round($line->questionNs() / 1e6, 3),
            $line->isBought() ? [] : array_map(static fn (FrameField $field): SerialField => new SerialField($field->name, $field->size->wholeBytes(), $field->doc), $layout->fields),
            $line->isBought() ? ($line->spoken()[0] ?? null)->check->value ?? 'none' : $settings->check->value,
            round($settings->levels->reachM($settings->baud), 1),
            $settings->lengthM,
            $isKnown ? round($cycleNs / 1e6, 3) : null,
            $isKnown && $settings->topology === Topology::Polled && $cycleNs > 0 ? round(($cycleNs - $line->exchangeNs() + $line->missedNs()) / 1e6, 3) : null,
            $strokes === [] ? 0.0 : max(array_map(static fn (SerialStroke $stroke): float => $stroke->toMs, $strokes)),
            $columns,
            $strokes,
            array_map(static fn (int $place, Endpoint $end): SerialEndFigures => self::end($plan, $link, $end, $place, count($line->ends), $knowledge, $owned[$end->id] ?? []), array_keys($line->ends), $line->ends),
            array_map(static fn (Protocol $one): string => $one->id, $line->spoken()),
        );
    }

    /** @return array{list<string>, list<SerialStroke>} */
    private static function ladder(Plan $plan, SerialLine $line): array
    {
        $asker = $line->asker();
        $ends = match (true) {
            $line->settings->topology === Topology::Polled => $asker === null ? [] : [$asker, ...$line->boxes()],
            $line->settings->topology === Topology::Ring && $line->ends !== [] => [...$line->ends, $line->ends[0]],
            default => $line->ends,
        };
        $columns = array_map(static fn (Endpoint $end): string => $plan->node($end->nodeId)->name, $ends);
        $ids = array_map(static fn (Endpoint $end): ?int => SerialEnd::of($end)->station, $ends);
        if (count($ends) < 2) {
            return [$columns, []];
        }
        $frameNs = $line->settings->frameNs();
        $turnNs = $line->settings->turnMs * 1_000_000;
        $gapNs = $line->settings->gapMs * 1_000_000;
        $strokes = [];
        $atNs = 0;
        $put = static function (SerialStrokeKind $kind, int $from, int $to, int $lastsNs, string $label) use (&$strokes, &$atNs): void {
            if ($lastsNs > 0) {
                $strokes[] = new SerialStroke($kind, $from, $to, round($atNs / 1e6, 3), round(($atNs + $lastsNs) / 1e6, 3), $label);
                $atNs += $lastsNs;
            }
        };
        if ($line->settings->topology === Topology::Ring) {
            for ($column = 0; $column < count($ends) - 1; $column++) {
                $put(SerialStrokeKind::Frame, $column, $column + 1, $frameNs, $column === 0 ? 'frame' : 'handed on');
                $put(SerialStrokeKind::Rest, $column + 1, $column + 1, $turnNs, 'turn');
            }

            return [$columns, $strokes];
        }
        for ($column = 1; $column < count($ends); $column++) {
            $put(SerialStrokeKind::Question, 0, $column, $frameNs, $line->settings->topology === Topology::Pair ? 'message' : 'asks '.($ids[$column] ?? '?'));
            $put(SerialStrokeKind::Rest, $column, $column, $turnNs, 'turn');
            $put(SerialStrokeKind::Answer, $column, 0, $frameNs, 'answer');
            $put(SerialStrokeKind::Rest, 0, 0, $gapNs, 'rest');
        }

        return [$columns, $strokes];
    }

    /**
     * What was bought is told in its own words and asked for its readings.
     *
     * @param  list<Exchange>  $round
     * @return array{list<string>, list<SerialStroke>}
     */
    private static function commanded(Plan $plan, SerialLine $line, array $round): array
    {
        $asker = $line->asker();
        if ($asker === null) {
            return [[], []];
        }
        $columns = [$plan->node($asker->nodeId)->name, ...array_map(static fn (Endpoint $end): string => $plan->node($end->nodeId)->name, $line->bought)];
        $strokes = [];
        $atNs = 0;
        foreach ($round as $one) {
            $column = 1 + (int) array_search($one->end, $line->bought, true);
            $turnNs = $one->answerNs > 0 ? $line->settings->turnMs * 1_000_000 : 0;
            foreach ([
                [SerialStrokeKind::Question, 0, $column, $one->questionNs, $one->item->name],
                [SerialStrokeKind::Rest, $column, $column, $turnNs, 'turn'],
                [SerialStrokeKind::Answer, $column, 0, $one->answerNs, 'answer'],
                [SerialStrokeKind::Rest, 0, 0, $line->settings->gapMs * 1_000_000, 'rest'],
            ] as [$kind, $from, $to, $lastsNs, $label]) {
                if ($lastsNs > 0) {
                    $strokes[] = new SerialStroke($kind, $from, $to, round($atNs / 1e6, 3), round(($atNs + $lastsNs) / 1e6, 3), $label);
                    $atNs += $lastsNs;
                }
            }
        }

        return [$columns, $strokes];
    }

    /**
     * Which outputs each node works for the others: box 3 owns 7 to 9.
     *
     * @return array<string, list<string>> "7 Relay 1", by end
     */
    private static function owned(Plan $plan, SerialLine $line): array
    {
        $ends = $line->ends;
        usort($ends, static fn (Endpoint $one, Endpoint $other): int => (SerialEnd::of($one)->station ?? 999) <=> (SerialEnd::of($other)->station ?? 999));
        $owned = [];
        $number = 0;
        foreach ($ends as $end) {
            $names = [];
            foreach ($plan->hopsTo($end) as $hop) {
                $output = $plan->output($plan->route($hop->routeId)->outputId);
                // What only shows something is nobody's to work.
                if ($output->nodeId === $end->nodeId && $output->kind !== OutputKind::Display) {
                    $names[$output->id] ??= ++$number." {$output->name}";
                }
            }
            $owned[$end->id] = array_values($names);
        }

        return $owned;
    }

    /** @param  list<string>  $owns */
    private static function end(Plan $plan, Link $link, Endpoint $end, int $place, int $count, Knowledge $knowledge, array $owns): SerialEndFigures
    {
        $unlike = $end->unlike($link, SerialSettings::SHARED);
        $disagrees = array_map(SerialSettings::words(...), array_keys($unlike), $unlike);
        $board = $knowledge->catalogue->boardOf($plan->node($end->nodeId));

        return new SerialEndFigures(
            $end->id,
            $board === null ? null : round(SerialClock::errorPercent($board, SerialSettings::of($link)->baud), 2),
            $disagrees, $place + 1, $place === 0 || $place === $count - 1, $owns,
        );
    }
}
