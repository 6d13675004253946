<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/**
 * How much of an 8-bit board a node's behaviour takes. Memory is counted, to the byte. The program's figures are a fit by
 * least squares to 240 random nodes that an 8-bit cross-compiler made small (avr-gcc 5.4, -Os): 8 % off on average.
 */
final readonly class CSize
{
    public function __construct(private NodeTables $tables, private CFeatures $has)
    {
    }

    public static function of(NodeTables $tables): self
    {
        return new self($tables, CFeatures::of($tables));
    }

    /** @return int bytes of memory: state, inputs, outputs and messages; nothing is padded there */
    public function memoryBytes(): int
    {
        $inputs = count($this->tables->contacts) + 4 * (count($this->tables->gauges) + count($this->tables->sticks));
        $messages = CFeatures::HEARD_MOST + max(1, $this->tables->mostTold(CFeatures::HEARD_MOST));

        return (new CState($this->tables, $this->has))->bytes() + max(1, $inputs) + max(1, 2 * count($this->tables->outputs) + count(array_filter($this->tables->outputs, static fn (Driven $output): bool => $output->unheardMs > 0))) + 2 + 6 * $messages;
    }

    /** @return int bytes of program, about */
    public function programBytes(): int
    {
        $tables = $this->tables;
        $has = $this->has;
        $drives = $tells = $obeyed = $passed = 0;
        foreach ([...$tables->contacts, ...$tables->gauges, ...$tables->sticks, ...$tables->clocks] as $source) {
            $drives += count($source->does->drives);
            $tells += count($source->does->tells);
        }
        foreach ($tables->sequences as $sequence) {
            foreach ([$sequence->stopped, ...array_map(static fn (Moment $moment): Does => $moment->does, $sequence->moments)] as $does) {
                $drives += count($does->drives);
                $tells += count($does->tells);
            }
        }
        foreach ([...$tables->groups, ...$tables->reports] as $one) {
            $drives += count($one->does->drives);
            $tells += count($one->does->tells);
        }
        foreach ($tables->heard as $heard) {
            $obeyed += count($heard->drives);
            $passed += count($heard->passes);
        }
        $bytes = 45
            + 114 * count($tables->contacts)
            + 284 * count($tables->sticks)
            + 87 * $drives + 46 * $tells + 48 * $obeyed + 110 * $passed + 70 * count($tables->outputs)
            + ($has->pulses ? 68 + 193 * count($tables->outputs) : 0)
            + ($has->repeats ? 23 * count($tables->contacts) : 0)
            + 208 * count(array_filter($tables->gauges, static fn (Gauge $gauge): bool => $gauge->hasThreshold && CFeatures::anything(CFeatures::turned($gauge->does))))
            + 188 * count(array_filter($tables->gauges, CFeatures::saysValue(...)))
            + 156 * count(array_filter($tables->clocks, static fn (Clock $clock): bool => $clock->atMinute >= 0 && CFeatures::strikes($clock)))
            + ($has->scales ? 900 : 0) + 76 * array_sum(array_map(static fn (Gauge $gauge): int => count($gauge->scale->more ?? []), $tables->gauges))
            + 62 * count(array_filter($tables->gauges, static fn (Gauge $gauge): bool => $gauge->rests())) + 70 * count(array_filter($tables->gauges, CFeatures::tellsAgain(...)))
            + 113 * count($tables->reports) + ($has->answers ? 84 : 0)
            + 190 * count($tables->sequences) + 90 * count($tables->groups) + 40 * array_sum(array_map(static fn (Sequence $sequence): int => count($sequence->moments), $tables->sequences))
            + 23 * count(array_filter($tables->outputs, static fn (Driven $output): bool => $has->feeds && $output->silenceMs > 0));
        foreach ([[$has->drives, 118], [$has->feels, 62], [$has->thresholds, 135], [$has->sticks, 91], [$has->travels, 403], [$has->zones, 462], [$has->mixes, 220], [$has->feeds, 295]] as [$wanted, $takes]) {
            $bytes += $wanted ? $takes : 0;
        }

        return $bytes;
    }
}
