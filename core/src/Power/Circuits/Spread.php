<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits;

use Rundfunk\Check\Look;
use Rundfunk\Electrical\ResidualCurrent;
use Rundfunk\Plan\Circuit;
use Rundfunk\Plan\Load;
use Rundfunk\Plan\LoadUse;
use Rundfunk\Plan\Operation;

/** Circuits that are as good for a load as each other, and how its loads lie on them best. What is kept stays, and what one contact switches goes together. */
final readonly class Spread
{
    /** Beyond that a fuse is overloaded. Trade book §11: a fuse of 1.25 times the load. */
    public const FULL = 0.8;

    /**
     * @param  list<Circuit>  $circuits
     * @param  float  $now  how full the fullest is of its fuse; 1 for all of it
     * @param  float  $best  as little as it can be
     * @param  array<string, string>  $moves  by load, the circuit it goes to
     */
    private function __construct(public array $circuits, public float $now, public float $best, public array $moves)
    {
    }

    /** @return list<self> those groups in which something could lie better */
    public static function in(Look $look): array
    {
        $all = AllLoads::in($look);
        $groups = [];
        foreach ($look->plan->circuits() as $circuit) {
            if ($circuit->fuseA !== null && count($all->below($circuit)) === 1) {
                $groups["{$circuit->volts} ".($circuit->direct ? 'dc' : 'ac')." {$circuit->placeId} {$circuit->parentId} ".($circuit->outdoors ? 'out' : 'in')][] = $circuit;
            }
        }
        $groups = array_filter($groups, static fn (array $circuits): bool => count($circuits) > 1);
        // All groups together look no longer than one may: the rule is asked after every edit.
        $mostLooks = intdiv(Balance::MOST_LOOKS, max(1, count($groups)));
        $spreads = [];
        foreach ($groups as $circuits) {
            $spread = self::over($look, $circuits, $mostLooks);
            if ($spread !== null) {
                $spreads[] = $spread;
            }
        }

        return $spreads;
    }

    /** @param  list<Circuit>  $circuits */
    private static function over(Look $look, array $circuits, int $mostLooks): ?self
    {
        $all = AllLoads::in($look);
        /** @var array<string, list<Load>> $together by output */
        $together = [];
        $fixed = array_fill(0, count($circuits), 0.0);
        $before = $milliamperes = [];
        foreach ($circuits as $bin => $circuit) {
            foreach ($all->onCircuit($circuit) as $drawn) {
                $load = $drawn->load;
                $stays = $load->pinned || $load->outputId === null || $load->use !== LoadUse::Switched || $drawn->amperes === null;
                if ($stays || (isset($before[$load->outputId]) && $before[$load->outputId] !== $bin)) {
                    $fixed[$bin] += 1_000 * ($drawn->amperes ?? 0.0);

                    continue;
                }
                $together[$load->outputId][] = $load;
                $before[$load->outputId] = $bin;
                $milliamperes[$load->outputId] = ($milliamperes[$load->outputId] ?? 0.0) + 1_000 * $drawn->amperes;
            }
        }
        $sizes = array_map(static fn (Circuit $circuit): int => max(1, (int) round(1_000 * (float) $circuit->fuseA)), $circuits);
        $now = max([0.0, ...array_map(static fn (Circuit $circuit): float => $all->amperes($circuit) / (float) $circuit->fuseA, $circuits)]);
        $balance = Balance::of(array_values(array_map(static fn (float $one): int => (int) ceil($one), $milliamperes)), $sizes, array_values($fixed), null, array_values($before), $mostLooks);
        if ($balance === null || $balance['share'] >= $now - 1e-3) {
            return null;
        }
        $moves = [];
        foreach (array_keys($together) as $at => $output) {
            foreach ($balance['bins'][$at] === $before[$output] ? [] : $together[$output] as $load) {
                $moves[$load->id] = $circuits[$balance['bins'][$at]]->id;
            }
        }

        return self::leaksTooMuch($look, $circuits, $moves) ? null : new self($circuits, $now, $balance['share'], $moves);
    }

    /**
     * @param  list<Circuit>  $circuits
     * @param  array<string, string>  $moves
     */
    private static function leaksTooMuch(Look $look, array $circuits, array $moves): bool
    {
        $all = AllLoads::in($look);
        foreach ($circuits as $circuit) {
            $sum = array_sum($all->leakagesMa($circuit));
            $new = $sum;
            foreach ($moves as $id => $to) {
                $load = $look->plan->load($id);
                $mine = $load->leakageMa * $load->count;
                $new += ($to === $circuit->id ? $mine : 0.0) - ($load->circuitId === $circuit->id ? $mine : 0.0);
            }
            if ($circuit->residual && $new > ResidualCurrent::MOST_MA && $new > $sum) {
                return true;
            }
        }

        return false;
    }

    public function isOverloaded(): bool
    {
        return $this->now > self::FULL + 1e-9;
    }

    /** @return list<Operation> */
    public function operations(): array
    {
        $operations = [];
        foreach ($this->moves as $load => $circuit) {
            $operations[] = Operation::change(Load::kind(), $load, ['circuitId' => $circuit]);
        }

        return $operations;
    }
}
