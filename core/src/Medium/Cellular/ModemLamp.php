<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\OutOfRange;

/**
 * What the network lamp of a modem says by how often it flashes. Sources: the once-a-second and once-in-three-seconds
 * flashes are the data sheets' of the class, from memory; that the two in turn mean a weak supply is common practice.
 */
enum ModemLamp: string
{
    case Dark = 'dark';
    case Searching = 'searching';
    case Registered = 'registered';
    case Data = 'data';
    case Wavering = 'wavering';
    case Unknown = 'unknown';

    /** By how much a gap timed by eye may be longer or shorter than it should be. */
    private const TOLERANCE = 1.45;

    /** @param  list<float>  $gapsS  seconds from flash to flash, as they were timed; none for a lamp that never flashes */
    public static function of(array $gapsS): self
    {
        foreach ($gapsS as $gapS) {
            OutOfRange::unless('gaps_s', $gapS, 0.05, 60);
        }
        $seen = array_values(array_unique(array_map(static fn (float $gapS): string => self::single($gapS)->value, $gapsS)));
        if ($seen === []) {
            return self::Dark;
        }
        if (count($seen) === 1) {
            return self::from($seen[0]);
        }

        return array_diff($seen, [self::Searching->value, self::Registered->value]) === [] ? self::Wavering : self::Unknown;
    }

    public function flashes(): string
    {
        return match ($this) {
            self::Dark => 'never',
            self::Searching => 'once a second',
            self::Registered => 'once in three seconds',
            self::Data => 'three times a second',
            self::Wavering => 'now the one, now the other',
            self::Unknown => 'otherwise',
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Dark => 'No power, or it sleeps, or PWRKEY was never pressed.',
            self::Searching => 'It looks for a network. For longer than a minute: antenna, card, or no network of its kind here.',
            self::Registered => 'It is registered: calls and texts can come.',
            self::Data => 'It has a data connection open.',
            self::Wavering => 'It finds the network and loses it: poor signal, or a supply that sags when it sends.',
            self::Unknown => 'No meaning that many makers share: look into the modem\'s book.',
        };
    }

    private static function single(float $gapS): self
    {
        $nearest = self::Unknown;
        $least = self::TOLERANCE;
        foreach ([[self::Data, 0.36], [self::Searching, 0.86], [self::Registered, 3.06]] as [$says, $nominalS]) {
            $off = max($gapS, $nominalS) / min($gapS, $nominalS);
            if ($off <= $least) {
                [$nearest, $least] = [$says, $off];
            }
        }

        return $nearest;
    }
}
