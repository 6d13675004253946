<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Can\Shown\CanBits;
use Rundfunk\Medium\Can\Shown\CanEndFigures;
use Rundfunk\Medium\Can\Shown\CanFigures;
use Rundfunk\Medium\Can\Shown\CanRow;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\View\DrawsPanel;

/** The figures of a bus: how full it is, what comes over it, bit by bit. */
final readonly class CanPanel implements DrawsPanel
{
    public function shape(): string
    {
        return CanFigures::class;
    }

    public function panel(Plan $plan, Link $link, Knowledge $knowledge): CanFigures
    {
        $bus = CanBus::of($plan, $link);
        $total = (new Termination($bus->terminators()))->totalOhm();
        $used = self::used($plan, $bus);

        return new CanFigures(
            $bus->settings->bitrate,
            round($bus->load(), 4),
            $bus->settings->foreign,
            round($bus->settings->reachM(), 1),
            $total === null ? null : round($total, 1),
            self::rows($plan, $bus, $used),
            array_map(static fn (Endpoint $end): CanEndFigures => self::end($plan, $bus, $end, $knowledge), $bus->ends),
        );
    }

    /** @return array<string, list<string>> who acts on what, by end and signal */
    private static function used(Plan $plan, CanBus $bus): array
    {
        $used = [];
        foreach ($bus->ends as $end) {
            foreach ($bus->told($end) as $hop) {
                $route = $plan->route($hop->routeId);
                $name = $bus->isBought($end) ? $plan->control($route->controlId)->terminal : $plan->output($route->outputId)->channel;
                $found = $bus->end($end)->signal($name);
                if ($found !== null && ! CanSayings::isOurs($plan, $hop)) {
                    $used["{$end->id} {$found[1]->name}"][] = $plan->node($plan->endpoint($hop->toId)->nodeId)->name;
                }
            }
        }

        return $used;
    }

    /**
     * @param  array<string, list<string>>  $used
     * @return list<CanRow>
     */
    private static function rows(Plan $plan, CanBus $bus, array $used): array
    {
        $responses = $bus->load() > 1 ? null : $bus->responses();
        $rows = [];
        foreach ($bus->traffic() as $one) {
            $worst = $responses?->worstNs($one->sent);
            $readers = $one->message === null ? array_map(static fn ($hop): string => $plan->node($plan->endpoint($hop->toId)->nodeId)->name, $bus->commands($one->end)) : [];
            $signals = [];
            foreach ($one->message->signals ?? [] as $signal) {
                $by = $used["{$one->end->id} {$signal->name}"] ?? [];
                $readers = [...$readers, ...$by];
                $signals[] = new CanBits($signal->name, array_values(array_filter($signal->places(), static fn (int $place): bool => $place < 8 * $one->sent->bytes)), self::says($signal), $by !== []);
            }
            $rows[] = new CanRow(
                $one->end->id,
                $one->message?->of->id,
                $plan->node($one->end->nodeId)->name,
                $one->message->of->name ?? 'Commands of this plan',
                CanMessage::hexOf($one->sent->id, $one->sent->extended),
                $one->sent->bytes,
                $one->message?->of->periodMs === 0 || $one->message === null ? null : $one->sent->periodNs / 1_000_000,
                $one->sent->deadlineNs / 1_000_000,
                $worst === null ? null : round($worst / 1_000_000, 3),
                array_values(array_unique($readers)),
                $one->message === null ? [new CanBits('to', range(7, 0), 'which node', false), new CanBits('sequence', range(15, 8), 'counts, so that one sent twice is done once', false), new CanBits('code', range(23, 16), 'which command', false), new CanBits('figure', [...range(39, 32), ...range(31, 24)], '-32768 to 32767, the low byte first', false)] : $signals,
            );
        }

        return $rows;
    }

    private static function says(CanSignal $signal): string
    {
        if ($signal->of->equals !== null) {
            $name = $signal->valueNames()[$signal->of->equals] ?? null;

            return "whether it is {$signal->of->equals}".($name === null ? '' : " ({$name})");
        }
        if ($signal->of->bits === 1 && $signal->of->names === '') {
            return 'off or on';
        }
        [$least, $most] = $signal->range();

        return $signal->of->names !== '' ? $signal->of->names : Figures::significant($least).' to '.Figures::significant($most).($signal->of->unit === '' ? '' : " {$signal->of->unit}");
    }

    private static function end(Plan $plan, CanBus $bus, Endpoint $end, Knowledge $knowledge): CanEndFigures
    {
        $class = $end->moduleId === null ? null : $knowledge->of($plan)->catalogue->classOf($plan->module($end->moduleId));
        $settings = $bus->end($end);
        $timing = $class === null ? null : Clock::timing($bus->settings, $settings, $class);
        $wanted = isset($class->figures['filters']) ? $bus->wanted($end) : [];
        $filters = $wanted === [] ? null : Filters::for($wanted, Overheard::on($bus, $end));

        return new CanEndFigures(
            $end->id,
            $plan->node($end->nodeId)->name,
            $settings->listenOnly,
            $settings->terminated,
            $timing === null ? null : "{$timing->quanta()} quanta of ".Figures::significant(1e9 / $timing->bitrate() / $timing->quanta())." ns, sampled at {$timing->samplePointPercent()} %",
            $filters === null ? [] : array_values(array_filter(array_map(static fn (array $bank): string => $bank['filters'] === [] ? '' : sprintf('mask %s: %s', CanMessage::hexOf($bank['mask'], $bank['extended']), implode(', ', array_map(static fn (int $id): string => CanMessage::hexOf($id, $bank['extended']), $bank['filters']))), $filters->banks), static fn (string $words): bool => $words !== '')),
            $filters === null ? [] : array_map(Recording::hex(...), $filters->strangers),
        );
    }
}
