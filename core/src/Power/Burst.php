<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Electrical\BurstDroop;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\Values;

/** A module that draws in bursts, on the supply that feeds it, with the capacitors at its terminal. */
final readonly class Burst
{
    /** Electrolytic capacitors as they are sold, microfarads: E6. */
    private const SOLD_UF = [470.0, 1_000.0, 2_200.0, 3_300.0, 4_700.0, 6_800.0, 10_000.0];

    private const MOST_OHM = 100.0;

    private const LEAST_F = 1e-9;

    private const MOST_F = 10.0;

    private const MOST_ESR = 10.0;

    /** Of an electrolytic capacitor that is made for it, ohms. Common practice. */
    private const SOLD_ESR = 0.05;

    /** @param  list<Part>  $capacitors */
    private function __construct(private Module $module, private ModuleClass $class, private array $capacitors, private float $sourceV, private float $sourceOhm)
    {
    }

    /** @return self|null null for a module that draws evenly, and where nobody can tell what feeds it */
    public static function of(SupplyTree $tree, Module $module): ?self
    {
        $class = $tree->moduleClass($module);
        $supply = $tree->feeding($module);
        $volts = $supply === null ? null : $tree->volts($supply);
        if (! $class->bursts() || $supply === null || $volts === null || $volts->nominalV < 0.1) {
            return null;
        }

        return new self($module, $class, $tree->capacitorsAt($module), $volts->nominalV, $tree->sourceOhm($supply));
    }

    /** @return BurstDroop|null null where there is no capacitor at all */
    public function droop(): ?BurstDroop
    {
        $microfarads = array_sum(array_map(static fn (Part $part): float => $part->microfarads ?? 0.0, $this->capacitors));

        return $microfarads <= 0.0 ? null : $this->under($microfarads, $this->esrOhm());
    }

    /** It falls below so many volts in each burst, or has nothing that would hold it. */
    public function sagsBelow(float $leastV): bool
    {
        $droop = $this->droop();

        return $droop === null || $droop->steadyV() < $leastV;
    }

    /** @return float|null the smallest that is sold and holds the voltage, microfarads; null where none does */
    public function enoughUf(float $leastV): ?float
    {
        foreach (self::SOLD_UF as $uf) {
            if ($this->under($uf, self::SOLD_ESR)->steadyV() >= $leastV) {
                return $uf;
            }
        }

        return null;
    }

    /** @return list<Operation> that put so much at its terminal, and nothing else */
    public function with(Plan $plan, float $microfarads): array
    {
        $first = $this->capacitors[0] ?? null;
        $terminal = (string) $this->class->feedTerminal();

        return $first === null
            ? [Operation::add(new Part($plan->newId('part', $this->module->id, $terminal, 'capacitor'), $this->module->id, $terminal, PartKind::Capacitor, microfarads: $microfarads, esrOhm: self::SOLD_ESR))]
            : [
                Operation::change(Part::kind(), $first->id, ['microfarads' => $microfarads, 'esrOhm' => self::SOLD_ESR]),
                ...array_map(static fn (Part $part): Operation => Operation::remove(Part::kind(), $part->id), array_slice($this->capacitors, 1)),
            ];
    }

    private function under(float $microfarads, float $esrOhm): BurstDroop
    {
        $figures = new Values($this->class->figures);

        // Beyond what the formula is for it makes no difference any more.
        return new BurstDroop($this->sourceV, min(self::MOST_OHM, $this->sourceOhm), max(self::LEAST_F, min(self::MOST_F, $microfarads / 1e6)), min(self::MOST_ESR, $esrOhm), $figures->number('burstA'), $figures->number('burstS'), $figures->number('periodS'));
    }

    /** Of all of them side by side, of which there is one at least. */
    private function esrOhm(): float
    {
        $conductance = 0.0;
        foreach ($this->capacitors as $part) {
            if ($part->esrOhm <= 0.0) {
                return 0.0;
            }
            $conductance += 1 / $part->esrOhm;
        }

        return 1 / $conductance;
    }
}
