<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Behaviour\Strip;
use Rundfunk\Drawing\Ink;
use Rundfunk\Drawing\SequenceDrawing;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\View\Shown\SequenceStrip;

/** A sequence as a strip to scale; nothing for any other output. */
final readonly class SequenceStripView implements LooksFar, View
{
    private const WIDTH = 600;

    public function key(): string
    {
        return 'sequence-strip';
    }

    public function owner(): string
    {
        return Output::class;
    }

    public function shape(): string
    {
        return SequenceStrip::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): ?SequenceStrip
    {
        $sequence = $plan->output($of);
        if ($sequence->kind !== OutputKind::Sequence) {
            return null;
        }
        $strip = Strip::of($plan, $sequence);
        $drawing = new SequenceDrawing($plan, $sequence, self::WIDTH, Ink::Screen);

        return new SequenceStrip($strip->totalMs, $drawing->width, $drawing->height, $drawing->markup(), self::words($plan, $strip));
    }

    private static function words(Plan $plan, Strip $strip): string
    {
        $rows = [];
        foreach ($strip->rows as $output => $bars) {
            foreach ($bars as $bar) {
                $rows[] = [$bar->fromMs, "{$plan->output($output)->name} {$bar->words} from ".self::time($bar->fromMs).($bar->toMs === null ? ' on' : ' to '.self::time($bar->toMs))];
            }
        }
        usort($rows, static fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return implode('; ', array_column($rows, 1));
    }

    private static function time(int $ms): string
    {
        return $ms === 0 ? '0' : Figures::duration($ms * 1_000_000);
    }
}
