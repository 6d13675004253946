<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Drawing\Ink;
use Rundfunk\Drawing\Svg;
use Rundfunk\Drawing\TimeScale;

/** A rehearsal of slots to scale: a row for each, its value as a line of steps, a mark where something is worked. */
final readonly class SlotStripDrawing
{
    private const ROW = 34;

    private const TOP = 24;

    private const BOTTOM = 26;

    private const DOT = 0.5;

    private const LEAP = 16;

    private TimeScale $scale;

    public float $height;

    public function __construct(private Rehearsed $played, public int $width, private Ink $ink)
    {
        $this->scale = new TimeScale($played->totalMs, $width, $ink);
        $this->height = self::TOP + self::ROW * max(1, count($played->rows)) + self::BOTTOM;
    }

    public function markup(): string
    {
        return implode('', [...$this->scale->lines($this->height - self::BOTTOM), ...$this->presses(), ...$this->rows()]);
    }

    /** @return list<string> */
    private function presses(): array
    {
        $lines = [];
        $free = 0.0;
        foreach ($this->played->presses as [$ms, $control]) {
            $x = $this->scale->x($ms);
            $lines[] = Svg::element('path', ['d' => Svg::down($x, self::TOP - 4, $this->height - self::BOTTOM), 'stroke' => $this->ink->rule(), 'stroke-dasharray' => '2 3']);
            if ($x >= $free) {
                $name = mb_strimwidth($control->name, 0, 18, '…');
                $lines[] = Svg::element('text', ['x' => $x + 2, 'y' => self::TOP - 9, 'font-size' => 12, 'fill' => $this->ink->soft()], Svg::text($name));
                $free = $x + 8 + 6.5 * mb_strlen($name);
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private function rows(): array
    {
        $lines = [];
        $y = self::TOP;
        foreach ($this->played->rows as $row) {
            $foot = $y + self::ROW - 6;
            $lines[] = $this->scale->label($row['name'], $foot - 4);
            $lines[] = Svg::element('path', ['d' => Svg::across($this->scale->x(0), $foot, $this->scale->x($this->played->totalMs)), 'stroke' => $this->ink->rule()]);
            $points = [];
            $was = null;
            $drawnX = -1.0;
            foreach ([...$row['points'], [$this->played->totalMs, null]] as [$ms, $value]) {
                $at = $this->scale->x($ms);
                // What nobody could tell apart is one dot, unless it leaps.
                if ($was !== null && $value !== null && $at - $drawnX < self::DOT && abs($value - $was) < self::LEAP) {
                    continue;
                }
                $drawnX = $at;
                $x = number_format($at, 1, '.', '');
                if ($was !== null) {
                    $points[] = "{$x},".self::at($foot, $was);
                }
                if ($value !== null) {
                    $points[] = "{$x},".self::at($foot, $value);
                    $was = $value;
                }
            }
            $lines[] = Svg::element('polyline', ['points' => implode(' ', $points), 'fill' => 'none', 'stroke' => $this->ink->medium(Dmx::KEY), 'stroke-width' => '1.6']);
            $y += self::ROW;
        }

        return $lines;
    }

    private static function at(float $foot, int $value): string
    {
        return number_format($foot - (self::ROW - 10) * $value / 255, 1, '.', '');
    }

    /** @return string where each slot comes to rest, one by one */
    public static function words(Rehearsed $played): string
    {
        $words = [];
        foreach ($played->rows as $row) {
            $steps = count($row['points']) - 1;
            $values = array_column($row['points'], 1);
            $words[] = $steps <= 0 ? "{$row['name']} stays at ".($values[0] ?? 0) : "{$row['name']} changes ".($played->isWhole ? '' : 'at least ')."{$steps} ".($steps === 1 ? 'time' : 'times').', at most '.max([0, ...$values]).', at last '.$values[$steps];
        }

        return implode('; ', $words).'.';
    }
}
