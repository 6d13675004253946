<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

use Rundfunk\Behaviour\Axis;

/** What a stick comes to, against what its converter reads: its own curve, with its dead band and its softness. */
final readonly class AxisDrawing
{
    public const WIDTH = 320;

    public const HEIGHT = 190;

    private const LEFT = 44;

    private const RIGHT = 14;

    private const TOP = 12;

    private const BOTTOM = 30;

    private const STEPS = 64;

    public function __construct(private Axis $axis, private Ink $ink)
    {
    }

    /** @return string markup, without its frame */
    public function markup(): string
    {
        $axis = $this->axis;
        $points = [];
        for ($step = 0; $step <= self::STEPS; $step++) {
            $raw = $axis->lowest + intdiv(($axis->highest - $axis->lowest) * $step, self::STEPS);
            $points[] = sprintf('%.1f,%.1f', $this->x($raw), $this->y($axis->position($raw)));
        }
        $lines = [
            Svg::element('path', ['d' => Svg::across(self::LEFT, $this->y(0), self::WIDTH - self::RIGHT), 'stroke' => $this->ink->rule()]),
            Svg::element('path', ['d' => Svg::down($this->x($axis->centre), self::TOP, self::HEIGHT - self::BOTTOM), 'stroke' => $this->ink->rule(), 'stroke-dasharray' => '2 3']),
            Svg::element('path', ['d' => Svg::down(self::LEFT, self::TOP, self::HEIGHT - self::BOTTOM), 'stroke' => $this->ink->ink()]),
            Svg::element('path', ['d' => Svg::across(self::LEFT, self::HEIGHT - self::BOTTOM, self::WIDTH - self::RIGHT), 'stroke' => $this->ink->ink()]),
            Svg::element('polyline', ['points' => implode(' ', $points), 'fill' => 'none', 'stroke' => $this->ink->ink(), 'stroke-width' => 2]),
        ];
        foreach ([100, 0, -100] as $percent) {
            $lines[] = $this->text(self::LEFT - 6, $this->y(intdiv($percent * Axis::FULL, 100)) + 4, 'end', ($percent < 0 ? '−' : '').abs($percent).' %');
        }
        foreach ([['start', $axis->lowest], ['middle', $axis->centre], ['end', $axis->highest]] as [$anchor, $raw]) {
            $lines[] = $this->text($this->x($raw), self::HEIGHT - self::BOTTOM + 16, $anchor, (string) $raw);
        }

        return implode('', $lines);
    }

    private function text(float $x, float $y, string $anchor, string $text): string
    {
        return Svg::element('text', ['x' => $x, 'y' => $y, 'text-anchor' => $anchor, 'font-size' => 13, 'fill' => $this->ink->soft()], Svg::text($text));
    }

    private function x(int $raw): float
    {
        return self::LEFT + (self::WIDTH - self::LEFT - self::RIGHT) * ($raw - $this->axis->lowest) / ($this->axis->highest - $this->axis->lowest);
    }

    private function y(int $position): float
    {
        $middle = (self::TOP + self::HEIGHT - self::BOTTOM) / 2;

        return $middle - $position / Axis::FULL * ($middle - self::TOP);
    }
}
