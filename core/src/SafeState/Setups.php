<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

use Rundfunk\Catalogue\InputKind;
use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Catalogue\PinStart;
use Rundfunk\Catalogue\PinState;
use Rundfunk\Catalogue\SwitchedBy;
use Rundfunk\Check\Look;
use Rundfunk\Check\Wire;
use Rundfunk\Pins\OnLevel;
use Rundfunk\Plan\ContactForm;
use Rundfunk\Plan\Load;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\Levels\Wiring;
use Rundfunk\Power\SupplyTree;

/** Reads out of a plan what decides what an output's load does in every phase. */
final readonly class Setups
{
    private SupplyTree $tree;

    public function __construct(private Look $look)
    {
        $this->tree = SupplyTree::in($look);
    }

    /** @return Setup|null null for what no level of a pin switches, and while it is on no pin */
    public function of(Output $output): ?Setup
    {
        $wire = self::wire($this->look, $output);
        $class = $wire === null ? null : $this->look->catalogue->classOf($wire->module);
        if ($wire?->pin === null || $class === null || OnLevel::of($this->look->plan, $wire->module, $class, $wire->terminal) === null) {
            return null;
        }
        $node = $this->look->plan->node($output->nodeId);
        $expander = $wire->pin->offeredBy === null ? null : $this->look->plan->module($wire->pin->offeredBy);
        $coil = $class->isFed() || in_array('load', $class->supplyTerminals, true);
        $feeds = $this->feeds($wire->module, $output);
        $signal = $wire->module->signalSupplyId === null ? $feeds : [$this->look->plan->supply($wire->module->signalSupplyId)];
        $parts = array_values(array_filter($this->look->plan->partsOf($wire->module), static fn (Part $part): bool => $part->terminal === $wire->terminal->name));
        $signalV = ($signal[0] ?? null) === null ? null : $this->tree->volts($signal[0])?->nominalV;

        return new Setup(
            pin: $wire->use->pin,
            input: $class->switches->input ?? InputKind::Base,
            activeLow: $class->activeLow,
            driver: count(array_filter($parts, static fn (Part $part): bool => $part->kind === PartKind::Driver)) % 2 === 1,
            keepsState: $class->keepsState,
            changeover: self::hasChangeover($class),
            coil: $coil,
            start: $expander === null ? $wire->pin->start : new PinStart(PinState::Floats, PinState::Floats, PinState::Floats),
            onExpander: $expander !== null,
            floatsUntilWritten: $expander !== null && $this->floatsUntilWritten($expander),
            logicV: $wire->board->logicV,
            signalV: $signalV ?? ($class->isFed() ? ($class->minV + $class->maxV) / 2 : $wire->board->logicV),
            fixedUpOhm: $wire->pin->pullUpOhm === null ? null : (float) $wire->pin->pullUpOhm,
            pullUpOhm: self::parallel($parts, PartKind::PullUp),
            pullDownOhm: self::parallel($parts, PartKind::PullDown),
            logicOnly: $coil && $this->canBeAlone($this->tree->feeder($node), $feeds),
            coilsOnly: $coil && $this->canBeDeadBeside($node, $feeds),
            signalDiesWithBoard: ! $this->canBeDeadBeside($node, $signal),
            ledDropV: $class->levels->ledBareV ?? 1.2,
            contact: $output->contact,
            levelFirst: $output->levelFirst,
            atStart: $output->atStart,
            secondBreak: $output->secondBreak,
            watchdog: $node->watchdog,
            linkLoss: (new Unheard($this->look))->of($output),
            shifterOhm: $this->isShifted($wire, $class->activeLow === ($output->contact === ContactForm::NormallyClosed)) ? Wiring::SHIFTER_OHM : null,
        );
    }

    /**
     * A level shifter is there; or is what has to come, and makes it worse: until then it stands as it stands without.
     *
     * @param  bool  $worse  a high at the terminal puts the load on
     */
    private function isShifted(Wire $wire, bool $worse): bool
    {
        $wiring = Wiring::in($this->look);

        return $wiring->has($wire, PartKind::Shifter) || ($worse && $wiring->wantedBetween($wire) === PartKind::Shifter);
    }

    /** The wire of the channel that an output is on. */
    public static function wire(Look $look, Output $output): ?Wire
    {
        $module = $output->moduleId === null ? null : $look->plan->module($output->moduleId);
        foreach ($module === null ? [] : $look->plan->pinUsesOf($module) as $use) {
            if ($use->terminal === $output->channel) {
                return $look->wire($use);
            }
        }

        return null;
    }

    public static function hasChangeover(ModuleClass $class): bool
    {
        return $class->switches?->by === SwitchedBy::Relay && ! $class->keepsState;
    }

    /**
     * @param  list<Part>  $parts
     * @return float|null ohms of all of that kind side by side; null where there is none
     */
    private static function parallel(array $parts, PartKind $kind): ?float
    {
        $siemens = 0.0;
        foreach ($parts as $part) {
            if ($part->kind === $kind && $part->ohms !== null && $part->ohms > 0.0) {
                $siemens += 1 / $part->ohms;
            }
        }

        return $siemens === 0.0 ? null : 1 / $siemens;
    }

    /** Its output-enable is held where it lets go until the first write. */
    private function floatsUntilWritten(Module $expander): bool
    {
        $class = $this->look->catalogue->classOf($expander);
        if ($class->terminal('OE') === null) {
            // One on a bus begins as inputs at power-up, but keeps what it had at a reset of the board.
            return false;
        }
        foreach ($this->look->plan->partsOf($expander) as $part) {
            if ($part->terminal === 'OE' && $part->kind === PartKind::PullUp) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Supply|null> what the coils, or what hangs on a semiconductor, live on; null for what is no supply of the plan */
    private function feeds(Module $module, Output $output): array
    {
        if ($this->look->catalogue->classOf($module)->isFed()) {
            return [$this->tree->feeding($module)];
        }
        $loads = $this->look->plan->loadsOn($output);

        return $loads === [] ? [null] : array_map(fn (Load $load): ?Supply => $load->supplyId === null ? null : $this->look->plan->supply($load->supplyId), $loads);
    }

    /** @return array<string, true> all that a supply hangs on, itself too, but for pins of boards: those are wires */
    private function chain(?Supply $supply): array
    {
        $ids = [];
        foreach ($supply === null ? [] : [$supply, ...$this->tree->above($supply)] as $one) {
            if (! $this->tree->classOf($one)->isBoardPin()) {
                $ids[$one->id] = true;
            }
        }

        return $ids;
    }

    /**
     * Some of that can fail and leave the board its power.
     *
     * @param  list<Supply|null>  $feeds
     */
    private function canBeAlone(?Supply $feeder, array $feeds): bool
    {
        foreach ($feeds as $feed) {
            if ($feed === null || array_diff_key($this->chain($feed), $this->chain($feeder)) !== []) {
                return true;
            }
        }

        return false;
    }

    /**
     * The board can be without power while that has it.
     *
     * @param  list<Supply|null>  $feeds
     */
    private function canBeDeadBeside(Node $node, array $feeds): bool
    {
        foreach ($feeds as $feed) {
            if ($feed === null) {
                return true;
            }
            $hangsOnBoard = array_filter([$feed, ...$this->tree->above($feed)], fn (Supply $one): bool => $this->tree->classOf($one)->isBoardPin() && $one->nodeId === $node->id) !== [];
            if (! $hangsOnBoard && array_diff_key($this->chain($this->tree->feeder($node)), $this->chain($feed)) !== []) {
                return true;
            }
        }

        return false;
    }
}
