<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

use Rundfunk\Behaviour\Strip;
use Rundfunk\Behaviour\StripBar;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;

/** A sequence to scale, as a strip chart: a row for each output, time from left to right, a tick where a step comes. */
final readonly class SequenceDrawing
{
    private const ROW = 24;

    private const TOP = 22;

    private const BOTTOM = 26;

    private Strip $strip;

    private TimeScale $scale;

    public float $height;

    public function __construct(private Plan $plan, private Output $sequence, public int $width, private Ink $ink)
    {
        $this->strip = Strip::of($plan, $sequence);
        $this->scale = new TimeScale($this->strip->totalMs, $width, $ink);
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
        return implode('', [...$this->scale->lines($this->bottom()), ...$this->moments(), ...$this->rows()]);
    }

    private function bottom(): float
    {
        return $this->height - self::BOTTOM;
    }

    /** @return list<string> a number above each step; those too near to the last are left to their line */
    private function moments(): array
    {
        $lines = [];
        $free = 0.0;
        foreach ($this->strip->moments as $index => $moment) {
            $x = $this->scale->x($moment['atMs']);
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
            $lines[] = $this->scale->label($this->plan->output($output)->name, $y + 16);
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
        $from = $this->scale->x($bar->fromMs);
        $to = $this->scale->x($bar->toMs ?? $this->strip->totalMs);
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
