<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Figures;
use Rundfunk\Learn\HearsRecordings;
use Rundfunk\Learn\LearningRefused;
use Rundfunk\Learn\ReadsDescriptions;
use Rundfunk\Learn\Shown\DescribedThing;
use Rundfunk\Learn\Shown\DescriptionShown;
use Rundfunk\Learn\Shown\FoundBit;
use Rundfunk\Learn\Shown\RecordedRow;
use Rundfunk\Learn\Shown\RecordingShown;
use Rundfunk\Medium\Can\Dbc\DescribedMessage;
use Rundfunk\Medium\Can\Dbc\ReadsDbc;
use Rundfunk\Medium\Can\Find\Candidate;
use Rundfunk\Medium\Can\Find\FindsBit;
use Rundfunk\Medium\Can\Find\Heard;
use Rundfunk\Medium\Can\Log\ReadsRecording;
use Rundfunk\Medium\Can\Log\WritesRecording;
use Rundfunk\Plan\BusSignal;

/** What recordings of a bus and DBC files say. */
final readonly class CanLearns implements HearsRecordings, ReadsDescriptions
{
    /** As many points as a drawing shows. */
    private const DRAWN_MOST = 400;

    public function heard(string $text, ?string $after, ?int $times, ?array $signal): RecordingShown
    {
        try {
            $recording = ReadsRecording::from($text);
            $second = $after === null ? null : ReadsRecording::from($after);
        } catch (RecordingRefused $refused) {
            throw LearningRefused::because($refused->getMessage());
        }
        [$way, $found] = match (true) {
            $second !== null => ['by what was one way in the first recording and is the other in the second', FindsBit::between($recording, $second)],
            $recording->marksUs !== [] => ['by what turned at '.Figures::counted(count($recording->marksUs), 'mark').' and nowhere else', FindsBit::atMarks($recording)],
            $times !== null && $times > 0 => ['by what turned '.Figures::counted($times, 'time').', or twice as often', FindsBit::times($recording, $times)],
            default => [null, []],
        };
        [$drawnS, $drawn] = $signal === null ? [[], []] : self::drawn($recording, $signal);
        $marks = $recording->marksUs;
        if ($signal !== null && $second !== null) {
            // The second stands behind the first, with a mark between.
            [$thenS, $then] = self::drawn($second, $signal);
            $marks = [...$marks, $recording->lengthUs()];
            $drawnS = [...$drawnS, ...array_map(static fn (float $s): float => $s + $recording->lengthUs() / 1_000_000, $thenS)];
            $drawn = [...$drawn, ...$then];
        }

        return new RecordingShown(
            $recording->count(),
            round($recording->lengthUs() / 1_000_000, 3),
            array_map(static fn (int $us): float => round($us / 1_000_000, 3), $marks),
            self::rows($recording),
            $second === null ? [] : self::rows($second),
            $way,
            array_map(static fn (Candidate $one): FoundBit => new FoundBit(Recording::hex($one->id), $one->place, $one->bytes, self::ms($one->periodUs), $one->value, $one->score, $one->evidence), $found),
            $drawnS,
            $drawn,
        );
    }

    public function forms(): array
    {
        return ['candump', 'asc'];
    }

    public function rewritten(string $text, string $form): string
    {
        try {
            $recording = ReadsRecording::from($text);
        } catch (RecordingRefused $refused) {
            throw LearningRefused::because($refused->getMessage());
        }

        return $form === 'asc' ? WritesRecording::asc($recording) : WritesRecording::candump($recording);
    }

    public function described(string $text): DescriptionShown
    {
        try {
            $description = ReadsDbc::from($text);
        } catch (RecordingRefused $refused) {
            throw LearningRefused::because($refused->getMessage());
        }

        return new DescriptionShown(array_map(self::thing(...), $description->messages), $description->leftOut);
    }

    private static function thing(DescribedMessage $one): DescribedThing
    {
        $message = $one->message;
        $values = $message->values();
        unset($values['id'], $values['endpointId'], $values['order']);
        $signals = array_map(static fn (BusSignal $signal): string => $signal->name, $message->signals);

        return new DescribedThing($one->sender, $message->name, (new CanMessage($message))->hex().($signals === [] ? '' : ': '.implode(', ', $signals)), (object) $values);
    }

    /** @return list<RecordedRow> */
    private static function rows(Recording $recording): array
    {
        return array_values(array_map(static fn (Heard $heard): RecordedRow => new RecordedRow(
            Recording::hex($heard->id),
            $heard->frames(),
            $heard->bytes,
            self::ms($heard->periodUs()),
            (float) self::ms($heard->jitterUs()),
            array_map(static fn (int $bit): float => round($heard->restless($bit), 4), $heard->bytes === 0 ? [] : range(0, 8 * $heard->bytes - 1)),
            $heard->checks,
        ), Heard::each($recording)));
    }

    /**
     * @param  array{id: string, start: int, bits: int, highFirst: bool, signed: bool}  $asked
     * @return array{list<float>, list<float>}
     */
    private static function drawn(Recording $recording, array $asked): array
    {
        $signal = new CanSignal(new BusSignal('it', max(0, min(63, $asked['start'])), max(1, min(64, $asked['bits'])), $asked['highFirst'], $asked['signed']));
        $at = [];
        foreach ($recording->ids as $frame => $id) {
            if (Recording::hex($id) === strtoupper($asked['id'])) {
                $at[] = $frame;
            }
        }
        $each = max(1, intdiv(count($at), self::DRAWN_MOST));
        $seconds = $figures = [];
        foreach ($at as $index => $frame) {
            $figure = (float) $signal->raw($recording->data[$frame]);
            // What turns is drawn where it turns, however many frames there are.
            if ($index % $each === 0 || $figure !== ($figures[count($figures) - 1] ?? null)) {
                $seconds[] = round($recording->atUs[$frame] / 1_000_000, 4);
                $figures[] = $figure;
            }
            if (count($figures) >= 4 * self::DRAWN_MOST) {
                break;
            }
        }

        return [$seconds, $figures];
    }

    private static function ms(?int $us): ?float
    {
        return $us === null ? null : round($us / 1_000, 2);
    }
}
