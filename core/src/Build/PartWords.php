<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Figures;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;

/** A discrete part as it is asked for in a shop: "divider 1 kΩ / 1.2 kΩ", "capacitor 2200 µF". */
final readonly class PartWords
{
    public static function of(Part $part): string
    {
        return match (true) {
            $part->share() !== null => $part->kind->words().' '.Figures::ohms((float) $part->ohms).' / '.Figures::ohms((float) $part->lowerOhms),
            $part->kind === PartKind::Capacitor && $part->microfarads !== null => $part->kind->words().' '.Figures::significant($part->microfarads).' µF',
            $part->ohms !== null => $part->kind->words().' '.Figures::ohms($part->ohms),
            default => $part->kind->words(),
        };
    }
}
