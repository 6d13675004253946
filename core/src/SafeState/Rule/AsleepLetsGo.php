<?php

declare(strict_types=1);

namespace Rundfunk\SafeState\Rule;

use Rundfunk\Catalogue\PinStart;
use Rundfunk\Catalogue\PinState;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Sleep;
use Rundfunk\Plan\Spot;
use Rundfunk\SafeState\Chain;
use Rundfunk\SafeState\Judgement;
use Rundfunk\SafeState\Phase;
use Rundfunk\SafeState\Setups;

/** An output on a pin that its board lets go of in deep sleep: it is not what it was told as soon as the node sleeps. Data sheets of such boards, from memory. */
#[Finds('asleep-lets-go', WorkStep::SafeStates)]
final readonly class AsleepLetsGo implements OutputRule
{
    /** What works something as long as it is on. A lamp that shows, a tone and a picture are over by then, or stay by themselves. */
    private const HELD = [OutputKind::Relay, OutputKind::Pwm, OutputKind::Servo, OutputKind::Motor];

    public function check(Output $output, Look $look): iterable
    {
        $node = $look->plan->node($output->nodeId);
        $board = $node->sleeps() ? $look->board($node) : null;
        $wire = $board?->floatsAsleep === true ? Setups::wire($look, $output) : null;
        // A register or a latching relay holds what it has.
        if ($board === null || $wire === null || $wire->pin?->offeredBy !== null || $look->catalogue->classOf($wire->module)->keepsState || ! in_array($output->kind, self::HELD, true)) {
            return [];
        }
        $setup = Judgement::of($look, $output)?->setup;
        if ($setup === null) {
            return [];
        }
        // What a pin does at its reset it does not asleep: nothing of the board holds it.
        $chain = new Chain($setup->with(['start' => new PinStart(PinState::Floats, PinState::Floats, PinState::Floats)]));
        $mayBeOn = $chain->mayBe(Phase::Reset, true);
        $word = match (true) {
            $mayBeOn && $chain->mayBe(Phase::Reset, false) => 'on or off as it likes',
            $mayBeOn => 'on',
            default => 'off',
        };

        return [Finding::of(
            $output->isDangerous() && $mayBeOn ? Severity::Danger : Severity::Warning,
            "{$output->name} of {$node->name} is {$word} whenever the node sleeps",
            Spot::of($output, "{$node->name}, {$output->name}", 'channel'),
            "The {$board->name} lets go of its pins in deep sleep: whatever it was told, {$wire->use->pin} floats until the node wakes.",
            'A latching relay or a register that holds by itself, a program that holds the pin where its chip can, or no sleep while something is to stay on.',
            Fix::change('It stays awake', $node, ['sleep' => Sleep::Never->value]),
            numbers: ['pin' => $wire->use->pin],
        )];
    }
}
