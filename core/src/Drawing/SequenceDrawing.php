<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

use Rundfunk\Behaviour\Strip;
use Rundfunk\Behaviour\StripBar;
use Rundfunk\Figures;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;

/** A sequence to scale, as a strip chart: a row for each output, time from left to right, a tick where a step comes. */
final readonly class SequenceDrawing
{
    private const LABELS = 150;

    private const ROW = 24;

    private const TOP = 22;

    private const BOTTOM = 26;

    private const RIGHT = 26;

    private Strip $strip;

    public float $height;

    public function __construct(private Plan $plan, private Output $sequence, public int $width, private Ink $ink)
    {
        $this->strip = Strip::of($plan, $sequence);
        $this->height = self::TOP + self::ROW * max(1, count($this->strip->rows)) + self::BOTTOM;
    }

    /** The whole of a file, to be printed. */
    public static function toPrint(Plan $plan, Output $sequence): string
    {
        $drawing = new self($plan, $sequence, 900, Ink::Paper);

        return Svg::file($drawing->width, $drawing->height, "{$sequence->name} of {$plan->node($sequence->nodeId)->name}", $drawing->markup());
    }

    /** @return string markup, without its frame */
    public function markup(): string
    {
        return implode('', [...$this->scale(), ...$this->moments(), ...$this->rows()]);
    }

    private function x(int $ms): float
    {
        return self::LABELS + ($this->width - self::LABELS - self::RIGHT) * $ms / max(1, $this->strip->totalMs);
    }

    private function bottom(): float
    {
        return $this->height - self::BOTTOM;
    }

    /** @return list<string> */
    private function scale(): array
    {
        $lines = [Svg::element('path', ['d' => Svg::across(self::LABELS, $this->bottom(), $this->x($this->strip->totalMs)), 'stroke' => $this->ink->ink(), 'fill' => 'none'])];
        $every = self::tick($this->strip->totalMs);
        for ($ms = 0; $ms <= $this->strip->totalMs; $ms += $every) {
            $lines[] = Svg::element('path', ['d' => Svg::down($this->x($ms), $this->bottom(), $this->bottom() + 4), 'stroke' => $this->ink->ink()]);
            $lines[] = Svg::element('text', ['x' => $this->x($ms), 'y' => $this->bottom() + 17, 'text-anchor' => 'middle', 'font-size' => 13, 'fill' => $this->ink->soft()], Svg::text($ms === 0 ? '0' : Figures::duration($ms * 1_000_000)));
        }

        return $lines;
    }

    /** @return int milliseconds from one mark of the scale to the next: six to twelve of them, in figures that people count in */
    private static function tick(int $totalMs): int
    {
        foreach ([10, 20, 50, 100, 200, 500, 1_000, 2_000, 5_000, 10_000, 20_000, 30_000, 60_000, 120_000, 300_000, 600_000, 1_800_000, 3_600_000, 7_200_000, 21_600_000] as $tick) {
            if ($totalMs <= 8 * $tick) {
                return $tick;
            }
        }

        return 86_400_000;
    }

    /** @return list<string> a number above each step; those too near to the last are left to their line */
    private function moments(): array
    {
        $lines = [];
        $free = 0.0;
        foreach ($this->strip->moments as $index => $moment) {
            $x = $this->x($moment['atMs']);
            $lines[] = Svg::element('path', ['d' => Svg::down($x, self::TOP - 4, $this->bottom()), 'stroke' => $this->ink->rule(), 'stroke-dasharray' => '2 3']);
            if ($x >= $free) {
                $lines[] = Svg::element('text', ['x' => $x, 'y' => self::TOP - 8, 'text-anchor' => 'middle', 'font-size' => 13, 'fill' => $this->ink->soft()], Svg::text((string) ($index + 1)));
                $free = $x + 14;
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private function rows(): array
    {
        $lines = [];
        $y = self::TOP;
        foreach ($this->strip->rows as $output => $bars) {
            $name = $this->plan->output($output)->name;
            $lines[] = Svg::element('text', ['x' => self::LABELS - 10, 'y' => $y + 16, 'text-anchor' => 'end', 'font-size' => 14, 'fill' => $this->ink->ink()], Svg::text(mb_strlen($name) > 22 ? mb_substr($name, 0, 21).'…' : $name));
            foreach ($bars as $bar) {
                $lines = [...$lines, ...$this->bar($bar, $y + 3)];
            }
            $y += self::ROW;
        }

        return $lines;
    }

    /** @return list<string> what stays on at the end runs out in an arrow */
    private function bar(StripBar $bar, float $y): array
    {
        $from = $this->x($bar->fromMs);
        $to = $this->x($bar->toMs ?? $this->strip->totalMs);
        $high = self::ROW - 7;
        $lines = [Svg::element('rect', ['id' => $bar->routeId, 'x' => $from, 'y' => $y, 'width' => max(2.0, $to - $from), 'height' => $high, 'fill' => $this->ink->sheet(), 'stroke' => $this->ink->ink(), 'stroke-width' => 1.5])];
        if ($bar->toMs === null) {
            $lines[] = Svg::element('text', ['x' => $to + 5, 'y' => $y + 13, 'font-size' => 14, 'fill' => $this->ink->ink()], Svg::text('→'));
        }
        if ($to - $from > 9 * mb_strlen($bar->words) + 6) {
            $lines[] = Svg::element('text', ['x' => $from + 6, 'y' => $y + 13, 'font-size' => 13, 'fill' => $this->ink->ink()], Svg::text($bar->words));
        }

        return $lines;
    }
}
