<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\OutOfRange;

/**
 * From what a converter reads to −1024…1024: centred, with a dead band, and softened about the middle. Whole numbers
 * throughout, division truncated toward nought, so that a small board works it out alike. Common practice.
 */
final readonly class Axis
{
    public const FULL = 1_024;

    /**
     * @param  int  $lowest  raw, at one end of its way; may be more than at the other
     * @param  int  $deadBand  0–1023: how far from the middle still counts as the middle
     * @param  int  $expo  0–1024: how much of the cube is mixed in; soft about the middle, full at the ends
     *
     * @throws OutOfRange where the middle is at an end
     */
    public function __construct(public int $lowest, public int $centre, public int $highest, public int $deadBand = 0, public int $expo = 0)
    {
        OutOfRange::unless('dead band', $deadBand, 0, self::FULL - 1);
        OutOfRange::unless('expo', $expo, 0, self::FULL);
        foreach (['lowest' => $lowest, 'centre' => $centre, 'highest' => $highest] as $name => $raw) {
            OutOfRange::unless($name, $raw, -65_535, 65_535);
        }
        if ($highest === $centre || $lowest === $centre) {
            throw OutOfRange::because('centre', 'The middle of an axis cannot be at one of its ends.');
        }
    }

    /** @return int −1024…1024, after dead band and expo */
    public function position(int $raw): int
    {
        $raw = max(min($this->lowest, $this->highest), min(max($this->lowest, $this->highest), $raw));
        $up = ($raw > $this->centre) === ($this->highest > $this->centre);
        $x = intdiv(($raw - $this->centre) * self::FULL, $up ? $this->highest - $this->centre : $this->centre - $this->lowest);
        $x = max(-self::FULL, min(self::FULL, $x));

        return $this->soften($this->sparing($x));
    }

    private function sparing(int $x): int
    {
        $beyond = max(0, abs($x) - $this->deadBand);

        return ($x < 0 ? -1 : 1) * intdiv($beyond * self::FULL, self::FULL - $this->deadBand);
    }

    private function soften(int $x): int
    {
        $cube = intdiv($x * $x * $x, self::FULL * self::FULL);

        return intdiv((self::FULL - $this->expo) * $x + $this->expo * $cube, self::FULL);
    }
}
