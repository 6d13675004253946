<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Check\End;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Figures;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;

/** What belongs between two ends whose levels do not fit. */
final readonly class SerialParts
{
    /** From 5 V to 3.33: the upper in the wire, the lower to ground. */
    private const UPPER_OHM = 1_000.0;

    private const LOWER_OHM = 2_000.0;

    /** @param  non-empty-list<Operation>  $operations */
    private function __construct(public string $words, public array $operations)
    {
    }

    /** @return Fix|null null where no part is named that one could be put at */
    public static function fix(Look $look, Link $link, SerialWire $wire): ?Fix
    {
        $parts = self::fitting($look, $link, $wire);

        return $parts === null ? null : new Fix("Put there: {$parts->words}", ...$parts->operations);
    }

    /** @return self|null null where no part is named that one could be put at. Two resistors where one speaks alone; a shifter where boards of several voltages are heard, or the rest would be too little. */
    public static function fitting(Look $look, Link $link, SerialWire $wire): ?self
    {
        $place = $wire->place();
        if ($place === null) {
            return null;
        }
        [$module, $terminal] = $place;
        $wrong = array_values(array_filter($look->plan->partsOf($module), static fn (Part $part): bool => $part->terminal === $terminal && in_array($part->kind, [PartKind::Divider, PartKind::SeriesResistor], true)));
        // A module that two ends share has one RXD, whoever of the two is spoken to.
        $hears = $wire->listener->module === null ? static fn (End $end): bool => $end->endpoint->id === $wire->listener->endpoint->id : static fn (End $end): bool => $end->module?->id === $module->id;
        $speakers = count(array_filter(SerialPairs::of($look, $link), static fn (array $pair): bool => $hears($pair[1])));
        $divides = $wrong === [] && $speakers === 1 && $wire->isTooHigh() && $wire->fitsDivided(self::LOWER_OHM / (self::UPPER_OHM + self::LOWER_OHM));
        $kind = $divides ? PartKind::Divider : PartKind::Shifter;
        $part = new Part($look->plan->newId('part', $module->id, $terminal, $kind->value), $module->id, $terminal, $kind, $divides ? self::UPPER_OHM : null, $divides ? self::LOWER_OHM : null);

        return new self(
            $divides ? 'divider '.Figures::ohms(self::UPPER_OHM).' / '.Figures::ohms(self::LOWER_OHM) : 'level shifter, one channel',
            [...array_map(static fn (Part $one): Operation => Operation::remove(Part::kind(), $one->id), $wrong), Operation::add($part)],
        );
    }
}
