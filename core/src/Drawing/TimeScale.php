<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

use Rundfunk\Figures;

/** Time from left to right, beside the names of rows: the scale at the foot of a strip chart. */
final readonly class TimeScale
{
    private const LABELS = 150;

    private const RIGHT = 26;

    public function __construct(private int $totalMs, private int $width, private Ink $ink)
    {
    }

    public function x(int $ms): float
    {
        return self::LABELS + ($this->width - self::LABELS - self::RIGHT) * $ms / max(1, $this->totalMs);
    }

    /** The name of a row, whose foot of the letters is at y. */
    public function label(string $name, float $y): string
    {
        return Svg::element('text', ['x' => self::LABELS - 10, 'y' => $y, 'text-anchor' => 'end', 'font-size' => 14, 'fill' => $this->ink->ink()], Svg::text(mb_strlen($name) > 22 ? mb_substr($name, 0, 21).'…' : $name));
    }

    /** @return list<string> the line with its marks */
    public function lines(float $y): array
    {
        $lines = [Svg::element('path', ['d' => Svg::across(self::LABELS, $y, $this->x($this->totalMs)), 'stroke' => $this->ink->ink(), 'fill' => 'none'])];
        $every = self::tick($this->totalMs);
        for ($ms = 0; $ms <= $this->totalMs; $ms += $every) {
            $lines[] = Svg::element('path', ['d' => Svg::down($this->x($ms), $y, $y + 4), 'stroke' => $this->ink->ink()]);
            $lines[] = Svg::element('text', ['x' => $this->x($ms), 'y' => $y + 17, 'text-anchor' => 'middle', 'font-size' => 13, 'fill' => $this->ink->soft()], Svg::text($ms === 0 ? '0' : Figures::duration($ms * 1_000_000)));
        }

        return $lines;
    }

    /** @return int milliseconds from one mark to the next: six to twelve of them, in figures that people count in */
    private static function tick(int $totalMs): int
    {
        foreach ([10, 20, 50, 100, 200, 500, 1_000, 2_000, 5_000, 10_000, 20_000, 30_000, 60_000, 120_000, 300_000, 600_000, 1_800_000, 3_600_000, 7_200_000, 21_600_000] as $tick) {
            if ($totalMs <= 8 * $tick) {
                return $tick;
            }
        }

        return 86_400_000;
    }
}
