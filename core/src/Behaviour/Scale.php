<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Shape\ListOf;

/**
 * From what a converter reads to the unit: on a straight line through two points, a probe dry and wet, a level empty and full;
 * or from point to point where more are known, and beyond the outermost as between it and its neighbour.
 */
final readonly class Scale
{
    /**
     * @param  int  $rawFrom  what is read at the first point
     * @param  int  $unitFrom  thousandths of the unit there
     * @param  int  $rawTo  what is read at the second, another than at the first
     * @param  int  $unitTo  thousandths there
     * @param  list<ScalePoint>  $more  other points, no two of all at one reading
     */
    public function __construct(public int $rawFrom, public int $unitFrom, public int $rawTo, public int $unitTo, #[ListOf(ScalePoint::class)] public array $more = [])
    {
    }

    /** @return non-empty-list<array{ScalePoint, ScalePoint}> where each line begins and ends; of several the one that reads least first */
    public function lines(): array
    {
        $points = [new ScalePoint($this->rawFrom, $this->unitFrom), new ScalePoint($this->rawTo, $this->unitTo), ...$this->more];
        if ($this->more !== []) {
            usort($points, static fn (ScalePoint $one, ScalePoint $other): int => $one->raw <=> $other->raw);
        }
        $lines = [[$points[0], $points[1]]];
        for ($at = 2, $count = count($points); $at < $count; $at++) {
            $lines[] = [$points[$at - 1], $points[$at]];
        }

        return $lines;
    }

    /** @return int thousandths, cut off towards nought, within ±{@see Gauge::MOST} */
    public function milli(int $raw): int
    {
        $lines = $this->lines();
        [$from, $to] = $lines[count($lines) - 1];
        foreach ($lines as $line) {
            if (count($lines) > 1 && $raw < $line[1]->raw) {
                [$from, $to] = $line;
                break;
            }
        }

        return max(-Gauge::MOST, min(Gauge::MOST, $from->unit + intdiv(($raw - $from->raw) * ($to->unit - $from->unit), $to->raw - $from->raw)));
    }
}
