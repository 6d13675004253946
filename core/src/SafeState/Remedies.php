<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

use Rundfunk\Behaviour\OnFailure;
use Rundfunk\Behaviour\Rule\Watched;
use Rundfunk\Behaviour\Silence;
use Rundfunk\Catalogue\InputKind;
use Rundfunk\Catalogue\Level;
use Rundfunk\Check\Look;
use Rundfunk\Check\Wire;
use Rundfunk\Electrical\BaseResistor;
use Rundfunk\Plan\AtStart;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Hazard;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\SafeState;
use Rundfunk\Plan\SecondBreak;
use Rundfunk\Plan\Supply;
use Rundfunk\Power\Circuits\SignalSide;
use Rundfunk\Power\Levels\LevelParts;
use Rundfunk\Power\SupplyTree;
use Rundfunk\Power\Verdicts;

/** What can be done about one output, as its hardware and the routes to it are. */
final readonly class Remedies
{
    private const PULL_OHM = 10_000.0;

    /** What the diode of a relay board takes without an indicator. Trade book §13. */
    private const LED_MA = 4.0;

    /** Told again so often; off after three that were missed. Common practice. */
    private const REPEAT_MS = 200;

    /** What is told once goes off by itself after so long, in case nobody can say so any more. Common practice. */
    private const TOLD_ONCE_MS = 1_800_000;

    /** @return list<Remedy> in the order of their kinds */
    public static function for(Look $look, Output $output, Setup $setup): array
    {
        $wire = Setups::wire($look, $output);
        if ($wire === null) {
            return [];
        }
        $node = $look->plan->node($output->nodeId);

        return array_values(array_filter([
            $setup->levelFirst || $setup->keepsState || $setup->onExpander ? null : new Remedy(RemedyKind::LevelFirst, 'level before direction', ['levelFirst' => true], [self::change($output, ['levelFirst' => true])]),
            self::startSafe($output, $setup),
            $output->safe === SafeState::On ? self::comingOn($look, $output, $setup) : self::timeOut($look, $output, $setup),
            ...self::pulls($look, $wire, $setup),
            ! $setup->changeover ? null : new Remedy(RemedyKind::SwapContact, "load to the {$setup->contact->other()->words()} contact", ['contact' => $setup->contact->other()], [self::change($output, ['contact' => $setup->contact->other()->value])]),
            self::feedSignal($look, $node, $wire, $setup),
            self::driver($look, $wire, $setup),
            $setup->watchdog || $setup->keepsState ? null : new Remedy(RemedyKind::Watchdog, "watchdog of {$node->name}", ['watchdog' => true], [Operation::change(Node::kind(), $node->id, ['watchdog' => true])]),
            self::secondBreak($output, $setup),
        ]));
    }

    /** @param  array<string, mixed>  $values */
    private static function change(Output $output, array $values): Operation
    {
        return Operation::change(Output::kind(), $output->id, $values);
    }

    private static function startSafe(Output $output, Setup $setup): ?Remedy
    {
        $start = $output->safe === SafeState::On ? AtStart::On : AtStart::Off;

        return $setup->atStart === $start || $setup->keepsState ? null : new Remedy(RemedyKind::StartSafe, "{$start->words()} at start", ['atStart' => $start], [self::change($output, ['atStart' => $start->value])]);
    }

    private static function timeOut(Look $look, Output $output, Setup $setup): ?Remedy
    {
        if ($setup->linkLoss === LinkLoss::GoesOn) {
            return new Remedy(RemedyKind::TimeOut, 'time-out '.self::time($output->setting('silenceMs')).' to off', ['linkLoss' => LinkLoss::GoesOff], [self::change($output, ['settings' => ['silenceOn' => false]])]);
        }
        if ($setup->linkLoss !== LinkLoss::Held) {
            return null;
        }
        $operations = [];
        $longest = 0;
        foreach ((new Unheard($look))->held($output) as [$holder, $routes]) {
            if (! Watched::canBe($holder)) {
                return null;
            }
            $silenceMs = 0;
            foreach ($routes as $route) {
                $control = $look->plan->control($route->controlId);
                if (Silence::isFetched($look, $control, $holder)) {
                    if (! Silence::canBeNoticed($look, $control, $holder)) {
                        return null;
                    }
                    $operations[$control->id] = Operation::change(Control::kind(), $control->id, ['settings' => ['onFailure' => OnFailure::Off->value]]);

                    continue;
                }
                if (! $route->holdsToControl()) {
                    $silenceMs = max($silenceMs, self::TOLD_ONCE_MS);

                    continue;
                }
                $repeatMs = Watched::toldEveryMs($look, $route, $control);
                if ($repeatMs === 0 && ! Watched::canRepeat($control)) {
                    return null;
                }
                if ($repeatMs === 0) {
                    $repeatMs = self::REPEAT_MS;
                    $operations[$control->id] = Operation::change(Control::kind(), $control->id, ['settings' => ['repeatMs' => $repeatMs]]);
                }
                $silenceMs = max($silenceMs, min(3_600_000, 3 * $repeatMs + 50));
            }
            if ($silenceMs > 0) {
                $operations[$holder->id] = Operation::change(Output::kind(), $holder->id, ['settings' => ['silenceMs' => $silenceMs]]);
            }
            $longest = max($longest, $silenceMs);
        }

        $time = self::time($longest);

        return $operations === [] ? null : new Remedy(RemedyKind::TimeOut, $longest === 0 ? 'off when its reading fails' : "time-out {$time} to off", ['linkLoss' => LinkLoss::GoesOff], array_values($operations));
    }

    /** What must be on comes on when it hears nothing: whoever holds it from elsewhere says again and again what it is to be, held or not. */
    private static function comingOn(Look $look, Output $output, Setup $setup): ?Remedy
    {
        if ($setup->linkLoss === LinkLoss::GoesOn || $setup->linkLoss === LinkLoss::Unaffected || ! Watched::canBe($output)) {
            return null;
        }
        $operations = [];
        $longest = 0;
        foreach ($look->plan->routesTo($output) as $route) {
            $control = $look->plan->control($route->controlId);
            if ($control->nodeId === $output->nodeId || Silence::isFetched($look, $control, $output)) {
                // A step of a group, or what its own board asks for, is told by nobody from elsewhere.
                if ($control->kind === ControlKind::Step || $control->nodeId !== $output->nodeId) {
                    return null;
                }

                continue;
            }
            $repeatMs = Watched::toldEveryMs($look, $route, $control);
            if (! Watched::carriesLetGo($look, $route, $control) || ($repeatMs === 0 && ! Watched::canRepeat($control))) {
                continue;
            }
            if ($repeatMs === 0) {
                $repeatMs = self::REPEAT_MS;
                $operations[] = Operation::change(Control::kind(), $control->id, ['settings' => ['repeatMs' => $repeatMs]]);
            }
            $longest = max($longest, min(3_600_000, 3 * $repeatMs + 50));
        }
        if ($longest === 0) {
            return null;
        }

        return new Remedy(RemedyKind::TimeOut, 'time-out '.self::time($longest).' to on', ['linkLoss' => LinkLoss::GoesOn], [
            ...$operations,
            Operation::change(Output::kind(), $output->id, ['settings' => ['silenceMs' => $longest, 'silenceOn' => true]]),
        ]);
    }

    private static function time(int $ms): string
    {
        return match (true) {
            $ms >= 60_000 => intdiv($ms, 60_000).' min',
            $ms >= 10_000 => intdiv($ms, 1_000).' s',
            default => "{$ms} ms",
        };
    }

    /** @return list<Remedy> */
    private static function pulls(Look $look, Wire $wire, Setup $setup): array
    {
        if ($setup->keepsState) {
            return [];
        }
        $part = static fn (PartKind $kind): Operation => Operation::add(new Part($look->plan->newId('part', $wire->module->id, $wire->terminal->name, $kind->value), $wire->module->id, $wire->terminal->name, $kind, self::PULL_OHM));
        $up = $setup->pullUpOhm === null && $setup->signalV <= $wire->board->levels->mostInV + 1e-6 && $wire->pin?->strap !== Level::Low;
        // Against the resistor of a shifter it would leave no high.
        $down = $setup->pullDownOhm === null && $setup->shifterOhm === null && $wire->pin?->strap !== Level::High;

        return [
            ...($up ? [new Remedy(RemedyKind::PullUp, '10 kΩ pull-up', ['pullUpOhm' => self::PULL_OHM], [$part(PartKind::PullUp)])] : []),
            ...($down ? [new Remedy(RemedyKind::PullDown, '10 kΩ pull-down', ['pullDownOhm' => self::PULL_OHM], [$part(PartKind::PullDown)])] : []),
        ];
    }

    /** Its jumper comes off. Only where the board's logic voltage works such a diode and a high lets go of it, and where the board has 5 V to give: one that is fed behind its regulator has none. */
    private static function feedSignal(Look $look, Node $node, Wire $wire, Setup $setup): ?Remedy
    {
        $rail = $wire->board->rail('board-5v');
        if ($setup->input !== InputKind::LedToSupply || $setup->signalDiesWithBoard || $setup->onExpander || $wire->module->signalSupplyId !== null || $wire->board->logicV < 4.5 || $rail === null) {
            return null;
        }
        $has = null;
        foreach ($look->plan->suppliesOf($node) as $supply) {
            $has ??= $supply->class === $rail->supply ? $supply : null;
        }
        $supply = $has ?? new Supply($look->plan->newId('supply', $node->id, $rail->supply), $node->id, $rail->supply, "{$node->name} {$rail->name}");

        $draft = $look->plan->draft();
        $draft->put($supply);
        $draft->change($wire->module, ['signalSupplyId' => $supply->id]);
        $verdicts = new Verdicts(new SupplyTree($draft->plan(), $look->catalogue));
        $volts = $verdicts->tree->volts($supply)->nominalV ?? $wire->board->logicV;
        if ((SignalSide::milliamperes($volts, $wire->board, $look->catalogue->classOf($wire->module)->levels) ?? SignalSide::LEAST_MA) < SignalSide::LEAST_MA) {
            return null;
        }
        // Its diodes are one thing more for the board's pin to bear.
        if (array_filter([$supply, ...$verdicts->tree->above($supply)], $verdicts->isOverloaded(...)) !== []) {
            return null;
        }

        return new Remedy(RemedyKind::FeedSignal, "signal side of {$wire->module->name} from the board's 5 V, its jumper off", ['signalDiesWithBoard' => true, 'signalV' => $wire->board->logicV], [
            ...($has === null ? [Operation::add($supply)] : []),
            Operation::change($wire->module::kind(), $wire->module->id, ['signalSupplyId' => $supply->id]),
        ]);
    }

    private static function driver(Look $look, Wire $wire, Setup $setup): ?Remedy
    {
        // Its base keeps a pin low that nothing drives: no boot pin that must be high.
        if (! $setup->activeLow || $setup->driver || $setup->onExpander || $setup->keepsState || $wire->pin?->strap === Level::High) {
            return null;
        }
        $baseOhm = (new BaseResistor($wire->board->levels->ratedHighV, self::LED_MA))->chosenOhm();

        return $baseOhm === null ? null : new Remedy(RemedyKind::Driver, 'transistor before '.$wire->terminal->name, ['driver' => true], LevelParts::driver($look->plan, $wire->module->id, $wire->terminal->name, $baseOhm)->operations);
    }

    private static function secondBreak(Output $output, Setup $setup): ?Remedy
    {
        if ($setup->secondBreak !== SecondBreak::None) {
            return null;
        }
        $break = match ($output->proofHazards()[0] ?? null) {
            Hazard::Heat => SecondBreak::Thermostat,
            Hazard::Flow => SecondBreak::Float,
            Hazard::Motion, Hazard::Lift => SecondBreak::Stops,
            default => SecondBreak::Contact,
        };

        return new Remedy(RemedyKind::SecondBreak, $break->words(), ['secondBreak' => $break], [self::change($output, ['secondBreak' => $break->value])]);
    }
}
