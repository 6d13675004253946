<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Drawing\Ink;
use Rundfunk\Drawing\Svg;

/** The slots of a universe on a ruler, in rows, and who takes which. Those that share slots stand one below the other. */
final readonly class RulerDrawing
{
    /** Slots in a row, where more than that are taken. */
    private const ROW = 96;

    /** And at least, where few are. */
    private const LEAST = 32;

    private const LEFT = 8;

    private const SCALE = 22;

    private const LANE = 30;

    private const GAP = 12;

    private int $row;

    private int $rows;

    private float $pitch;

    /** @var array<string, int> by end, the lane that it is drawn in */
    private array $lanes;

    private int $deep;

    public float $height;

    public function __construct(private Universe $universe, public int $width, private Ink $ink)
    {
        $highest = max($universe->highest, 1);
        $this->row = $highest <= self::ROW ? max(self::LEAST, 16 * intdiv($highest + 15, 16)) : self::ROW;
        $this->rows = intdiv(min(DmxFrame::MOST_SLOTS, $highest) + $this->row - 1, $this->row);
        $this->pitch = ($width - 2 * self::LEFT) / $this->row;
        $this->lanes = self::lanes($universe->patched);
        $this->deep = 1 + max([0, ...array_values($this->lanes)]);
        $this->height = $this->rows * ($this->rowHeight() + self::GAP);
    }

    private function rowHeight(): int
    {
        return self::SCALE + self::LANE * $this->deep;
    }

    /**
     * @param  list<Patched>  $patched
     * @return array<string, int>
     */
    private static function lanes(array $patched): array
    {
        $lanes = $until = [];
        $placed = array_values(array_filter($patched, static fn (Patched $one): bool => $one->last() !== null));
        usort($placed, static fn (Patched $one, Patched $other): int => $one->settings->start <=> $other->settings->start);
        foreach ($placed as $one) {
            $lane = 0;
            while (($until[$lane] ?? 0) >= $one->settings->start) {
                $lane++;
            }
            $until[$lane] = (int) $one->last();
            $lanes[$one->end->id] = $lane;
        }

        return $lanes;
    }

    public function markup(): string
    {
        $lines = [];
        for ($row = 0; $row < $this->rows; $row++) {
            $lines = [...$lines, ...$this->scale($row)];
            foreach ($this->universe->patched as $one) {
                if ($one->last() !== null) {
                    $lines = [...$lines, ...$this->fixture($one, $row)];
                }
            }
        }

        return implode('', $lines);
    }

    /** @return list<string> */
    private function scale(int $row): array
    {
        $y = $row * ($this->rowHeight() + self::GAP) + self::SCALE - 4;
        $first = $row * $this->row + 1;
        $last = min(DmxFrame::MOST_SLOTS, $first + $this->row - 1);
        $lines = [Svg::element('path', ['d' => Svg::across(self::LEFT, $y, self::LEFT + ($last - $first + 1) * $this->pitch), 'stroke' => $this->ink->soft(), 'fill' => 'none'])];
        for ($slot = $first; $slot <= $last; $slot++) {
            $x = self::LEFT + ($slot - $first) * $this->pitch;
            $isLong = $slot % 8 === 1;
            $lines[] = Svg::element('path', ['d' => Svg::down($x, $y - ($isLong ? 7 : 3), $y), 'stroke' => $isLong ? $this->ink->soft() : $this->ink->rule()]);
            if ($isLong) {
                $lines[] = Svg::element('text', ['x' => $x + 2, 'y' => $y - 8, 'font-size' => 11, 'fill' => $this->ink->soft()], Svg::text((string) $slot));
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private function fixture(Patched $one, int $row): array
    {
        $first = $row * $this->row + 1;
        $start = (int) $one->settings->start;
        $from = max($first, $start);
        $to = min($first + $this->row - 1, (int) $one->last(), DmxFrame::MOST_SLOTS);
        if ($from > $to) {
            return [];
        }
        $x = self::LEFT + ($from - $first) * $this->pitch;
        $y = $row * ($this->rowHeight() + self::GAP) + self::SCALE + self::LANE * $this->lanes[$one->end->id];
        $width = ($to - $from + 1) * $this->pitch - 1;
        $lines = [Svg::element('rect', ['id' => $one->end->id, 'x' => $x, 'y' => $y, 'width' => $width, 'height' => self::LANE - 5, 'fill' => $this->ink->sheet(), 'stroke' => $this->ink->medium(Dmx::KEY), 'stroke-width' => 1.5])];
        foreach ($one->uses as $use) {
            foreach ([$use->slot->at, $use->slot->fineAt] as $at) {
                $slot = $at === null ? 0 : $start + $at - 1;
                if ($slot >= $from && $slot <= $to && $use->output !== null) {
                    // What somebody works is filled at its foot.
                    $lines[] = Svg::element('rect', ['x' => $x + ($slot - $from) * $this->pitch + 1, 'y' => $y + self::LANE - 9, 'width' => max(1.0, $this->pitch - 3), 'height' => 3, 'fill' => $this->ink->medium(Dmx::KEY)]);
                }
            }
        }
        $words = "{$start} {$one->node->name}";
        $fits = (int) floor(($width - 6) / 6.4);
        if ($from === $start && $fits >= 2) {
            $lines[] = Svg::element('text', ['x' => $x + 4, 'y' => $y + 15, 'font-size' => 13, 'fill' => $this->ink->ink()], Svg::text(mb_strlen($words) <= $fits ? $words : ($fits >= 6 ? mb_substr($words, 0, $fits - 1).'…' : mb_substr((string) $start, 0, $fits))));
        }

        return $lines;
    }

    /** @return string the same in words */
    public static function words(Universe $universe): string
    {
        $words = array_map(static fn (Patched $one): string => $one->last() === null ? "{$one->node->name} has no slots yet" : "{$one->node->name} from {$one->settings->start} to {$one->last()}", $universe->patched);

        return $words === [] ? 'Nobody listens yet.' : implode('; ', $words).'.';
    }
}
