<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels;

use Rundfunk\Figures;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Plan;

/** The discrete parts that make the ends of a wire fit, in place of those that do not. */
final readonly class LevelParts
{
    /**
     * @param  list<Operation>  $operations
     * @param  PartKind|null  $between  what makes the levels fit; null where nothing is to do that
     */
    private function __construct(public string $words, public array $operations, public ?PartKind $between = null)
    {
    }

    public static function fitting(Plan $plan, WireLevels $levels): self
    {
        // What divides a high divides a low as well, and never enough: that wants a shifter.
        $divides = ! $levels->isLowTooHigh() && ($levels->isTooHigh() || $levels->divider() !== null);
        $divider = $divides ? $levels->dividerThatFits() : null;
        $without = array_values(array_filter($levels->parts, static fn (Part $part): bool => $part->kind === PartKind::Divider || ($part->kind === PartKind::SeriesResistor && $levels->wire->terminal->seriesOhm === null)));
        if ($divider === null) {
            // A high that is enough by itself needs nothing; only what was put there spoils it.
            $straight = $without !== [] && ! $levels->isLowTooHigh() && ! $levels->holdsOn() && $levels->givesV !== null && $levels->givesV <= ($levels->mostV ?? INF) && ($levels->leastGivesV ?? 0.0) >= ($levels->takesV ?? 0.0);

            return new self(
                $straight ? 'nothing between: straight' : 'level shifter, one channel',
                [...array_map(self::remove(...), $without), ...($straight ? [] : [self::add($plan, $levels, PartKind::Shifter)])],
                $straight ? null : PartKind::Shifter,
            );
        }
        [$upper, $lower] = $divider;
        $values = ['ohms' => $upper, 'lowerOhms' => $lower];
        $old = $levels->divider();
        $operations = $old === null
            ? [self::add($plan, $levels, PartKind::Divider, $upper, $lower)]
            : [Operation::change(Part::kind(), $old->id, $values)];

        $series = array_values(array_filter($levels->parts, static fn (Part $part): bool => $part->kind === PartKind::SeriesResistor));
        $others = array_values(array_filter($levels->parts, static fn (Part $part): bool => $part->kind === PartKind::Divider && $part->id !== $old?->id));
        // A small one stays before it; a large one divides once more.
        $besides = [...($levels->bears($divider, array_sum(array_map(static fn (Part $part): float => $part->ohms ?? 0.0, $series))) ? [] : $series), ...$others];

        return new self('divider '.Figures::ohms($upper).' / '.Figures::ohms($lower), [...$operations, ...array_map(self::remove(...), $besides)], PartKind::Divider);
    }

    /** The resistor that holds a wire up which nothing else does. */
    public static function pullUp(Plan $plan, string $moduleId, string $terminal, float $ohms): self
    {
        $part = new Part($plan->newId('part', $moduleId, $terminal, PartKind::PullUp->value), $moduleId, $terminal, PartKind::PullUp, $ohms);

        return new self('pull-up resistor '.Figures::ohms($ohms), [Operation::add($part)]);
    }

    /** The resistor that a wire wants in it. */
    public static function series(Plan $plan, string $moduleId, string $terminal, float $ohms): self
    {
        $part = new Part($plan->newId('part', $moduleId, $terminal, PartKind::SeriesResistor->value), $moduleId, $terminal, PartKind::SeriesResistor, $ohms);
        foreach ($plan->having(Part::class, 'moduleId', $moduleId) as $there) {
            if ($there->terminal === $terminal && $there->kind === PartKind::SeriesResistor) {
                return new self('resistor in series '.Figures::ohms($ohms), [Operation::change(Part::kind(), $there->id, ['ohms' => $ohms])]);
            }
        }

        return new self('resistor in series '.Figures::ohms($ohms), [Operation::add($part)]);
    }

    /** The transistor that takes what a pin cannot give. */
    public static function driver(Plan $plan, string $moduleId, string $terminal, float $baseOhm): self
    {
        $part = new Part($plan->newId('part', $moduleId, $terminal, PartKind::Driver->value), $moduleId, $terminal, PartKind::Driver, $baseOhm);

        return new self('NPN transistor, '.Figures::ohms($baseOhm).' to its base', [Operation::add($part)]);
    }

    /** The capacitor that takes the peaks of what a module draws. */
    public static function buffer(Plan $plan, string $moduleId, string $terminal, float $microfarads): self
    {
        $part = new Part($plan->newId('part', $moduleId, $terminal, PartKind::Capacitor->value), $moduleId, $terminal, PartKind::Capacitor, microfarads: $microfarads);

        return new self('capacitor '.Figures::significant($microfarads).' µF', [Operation::add($part)]);
    }

    private static function add(Plan $plan, WireLevels $levels, PartKind $kind, ?float $ohms = null, ?float $lowerOhms = null): Operation
    {
        $module = $levels->wire->module;
        $terminal = $levels->wire->terminal->name;

        return Operation::add(new Part($plan->newId('part', $module->id, $terminal, $kind->value), $module->id, $terminal, $kind, $ohms, $lowerOhms));
    }

    private static function remove(Part $part): Operation
    {
        return Operation::remove(Part::kind(), $part->id);
    }
}
