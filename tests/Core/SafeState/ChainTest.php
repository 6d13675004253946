<?php

declare(strict_types=1);

namespace Tests\Core\SafeState;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rundfunk\Catalogue\InputKind;
use Rundfunk\Catalogue\PinStart;
use Rundfunk\Catalogue\PinState;
use Rundfunk\Plan\AtStart;
use Rundfunk\Plan\ContactForm;
use Rundfunk\Plan\SecondBreak;
use Rundfunk\SafeState\Chain;
use Rundfunk\SafeState\LinkLoss;
use Rundfunk\SafeState\Phase;
use Rundfunk\SafeState\Setup;

/**
 * The chain from pin to load, against a table that was written by hand from the trade's rules: an unpowered board's pin is tied to its dead rail, a
 * base and a coupler that nothing drives are off, a gate that nothing holds is either (the firm's trade book §12 and §13; common practice).
 */
final class ChainTest extends TestCase
{
    /**
     * A relay board on an 8-bit board, its coils from a supply of their own: "coils first" is an order that happens.
     *
     * @param  array<string, mixed>  ...$otherwise
     */
    public static function relay(array ...$otherwise): Setup
    {
        $usual = [
            'pin' => 'D4', 'input' => InputKind::LedToSupply, 'activeLow' => true, 'driver' => false, 'keepsState' => false, 'changeover' => true, 'coil' => true,
            'start' => new PinStart(PinState::Floats, PinState::Floats, PinState::Floats), 'onExpander' => false, 'floatsUntilWritten' => false,
            'logicV' => 5.0, 'signalV' => 5.0, 'fixedUpOhm' => null, 'pullUpOhm' => null, 'pullDownOhm' => null, 'logicOnly' => true, 'coilsOnly' => true, 'signalDiesWithBoard' => false,
            'ledDropV' => 1.2, 'contact' => ContactForm::NormallyOpen, 'levelFirst' => true, 'atStart' => AtStart::Off, 'secondBreak' => SecondBreak::None, 'watchdog' => false, 'linkLoss' => LinkLoss::GoesOff,
        ];

        return new Setup(...array_merge($usual, ...$otherwise));
    }

    /** What each of the ten phases says, in their order: off, logic only, coils only, reset, flashing, initial, running, link lost, hung, supply back. */
    /** @return iterable<string, array{Setup, string}> */
    public static function chains(): iterable
    {
        $high = ['input' => InputKind::Base, 'activeLow' => false];
        $gate = ['input' => InputKind::Gate, 'activeLow' => false, 'changeover' => false];
        $nc = ['contact' => ContactForm::NormallyClosed];
        $logicFed = ['signalDiesWithBoard' => true];
        $together = ['coilsOnly' => false, 'logicOnly' => false, 'signalDiesWithBoard' => true];
        $up = ['start' => new PinStart(PinState::WeakUp, PinState::WeakUp, PinState::WeakUp)];
        $down = ['start' => new PinStart(PinState::WeakDown, PinState::WeakDown, PinState::WeakDown)];
        // polarity × contact × who feeds the diode: the dead pin sinks (5 − 0.6 − 1.2) V / 1 kΩ = 3.2 mA
        yield 'low trigger, NO, diode from the coils' => [self::relay(), 'off off ON off off off told off held off'];
        yield 'low trigger, NC, diode from the coils' => [self::relay($nc), 'ON ON off ON ON ON told off held ON'];
        yield 'low trigger, NO, diode from the logic' => [self::relay($logicFed), 'off off off off off off told off held off'];
        yield 'low trigger, NC, diode from the logic' => [self::relay($nc, $logicFed), 'ON ON ON ON ON ON told off held ON'];
        yield 'low trigger, one supply' => [self::relay($together), 'off – – off off off told off held off'];
        yield 'low trigger, 3.3 V feeds the diode from elsewhere: (3.3 − 0.6 − 1.2) / 1 kΩ = 1.5 mA' => [self::relay(['signalV' => 3.3]), 'off off ON off off off told off held off'];
        yield 'low trigger, with an indicator in series 3.3 V leave 0 mA' => [self::relay(['signalV' => 3.3, 'ledDropV' => 3.0]), 'off off off off off off told off held off'];
        yield 'high trigger, NO' => [self::relay($high), 'off off off off off off told off held off'];
        yield 'high trigger, NC' => [self::relay($high, $nc), 'ON ON ON ON ON ON told off held ON'];
        yield 'a transistor before a low trigger' => [self::relay(['driver' => true]), 'off off off off off off told off held off'];
        // × pulls
        yield 'high trigger on a weak pull-up: nothing for a base' => [self::relay($high, $up), 'off off off off off off told off held off'];
        yield 'high trigger with 10 kΩ up: 0.39 mA into the base' => [self::relay($high, ['pullUpOhm' => 10_000.0]), 'off off off either either either told off held either'];
        yield 'low trigger with 10 kΩ down: 0.35 mA, too little' => [self::relay(['pullDownOhm' => 10_000.0]), 'off off ON off off off told off held off'];
        yield 'low trigger with 1 kΩ down: 1.9 mA' => [self::relay(['pullDownOhm' => 1_000.0]), 'off off ON either either either told off held either'];
        yield 'a gate that nothing holds' => [self::relay($gate), 'off off off either either either told off held either'];
        yield 'a gate with 10 kΩ to ground' => [self::relay($gate, ['pullDownOhm' => 10_000.0]), 'off off off off off off told off held off'];
        yield 'a gate on a weak pull-up' => [self::relay($gate, $up), 'off off off ON ON ON told off held ON'];
        yield 'a gate on a weak pull-up, 10 kΩ to ground: 0.6 V' => [self::relay($gate, $up, ['logicV' => 3.3, 'pullDownOhm' => 10_000.0]), 'off off off off off off told off held off'];
        yield 'a gate on a weak pull-down' => [self::relay($gate, $down), 'off off off off off off told off held off'];
        yield 'a gate on 1.8 kΩ up, which no 10 kΩ beats' => [self::relay($gate, ['logicV' => 3.3, 'fixedUpOhm' => 1_800.0, 'pullDownOhm' => 10_000.0]), 'off off off ON ON ON told off held ON'];
        // A level shifter: a transistor that is shut unless the pin is low, and 10 kΩ on its other side to 5 V: 0.39 mA into a base.
        $shifted = ['logicV' => 3.3, 'shifterOhm' => 10_000.0];
        yield 'a gate behind a shifter' => [self::relay($gate, $shifted), 'off off ON ON ON ON told off held ON'];
        yield 'a gate behind a shifter that 10 kΩ to ground do not beat: 2.5 V' => [self::relay($gate, $shifted, ['pullDownOhm' => 10_000.0]), 'off off ON ON ON ON told off held ON'];
        yield 'a gate behind a shifter that is dead with the board' => [self::relay($gate, $shifted, $logicFed), 'off off either ON ON ON told off held ON'];
        yield 'high trigger behind a shifter' => [self::relay($high, $shifted), 'off off either either either either told off held either'];
        yield 'low trigger behind a shifter: nothing pulls it low' => [self::relay($shifted), 'off off off off off off told off held off'];
        // pins that do something by themselves
        yield 'low trigger on a pin that talks at the start' => [self::relay(['start' => new PinStart(PinState::Floats, PinState::Toggles, PinState::Floats)]), 'off off ON off ON off told off held ON'];
        yield 'high trigger on a pin that is high at reset' => [self::relay($high, ['start' => new PinStart(PinState::High, PinState::High, PinState::Floats)]), 'off off off ON ON off told off held ON'];
        // the program
        yield 'low trigger, output before level' => [self::relay($logicFed, ['levelFirst' => false]), 'off off off off off ON told off held ON'];
        yield 'high trigger, output before level' => [self::relay($high, ['levelFirst' => false]), 'off off off off off off told off held off'];
        yield 'put back as it stood' => [self::relay($high, ['atStart' => AtStart::Last]), 'off off off off off held told off held held'];
        yield 'on at start' => [self::relay($high, ['atStart' => AtStart::On]), 'off off off off off ON told off held ON'];
        yield 'nobody ends what it was told' => [self::relay($high, ['linkLoss' => LinkLoss::Held]), 'off off off off off off told held held off'];
        yield 'unheard of it comes on' => [self::relay($high, ['linkLoss' => LinkLoss::GoesOn]), 'off off off off off off told ON held off'];
        yield 'unheard of it comes on, on the other contact' => [self::relay($high, ['linkLoss' => LinkLoss::GoesOn, 'contact' => ContactForm::NormallyClosed]), 'ON ON ON ON ON ON told ON held ON'];
        yield 'nobody elsewhere works it' => [self::relay($high, ['linkLoss' => LinkLoss::Unaffected]), 'off off off off off off told told held off'];
        yield 'a watchdog resets a low trigger' => [self::relay($logicFed, ['watchdog' => true]), 'off off off off off off told off off off'];
        yield 'a watchdog resets what talks at the start' => [self::relay($logicFed, ['watchdog' => true, 'start' => new PinStart(PinState::Floats, PinState::Toggles, PinState::Floats)]), 'off off off off ON off told off ON ON'];
        // what keeps its state
        yield 'a latching relay' => [self::relay($high, ['keepsState' => true, 'changeover' => false]), 'held held held held held held told off held held'];
        yield 'behind a shift register that nothing holds' => [self::relay($high, ['onExpander' => true]), 'off off either either either either told off held either'];
        yield 'behind one whose outputs are let go until the first write' => [self::relay($high, $logicFed, ['onExpander' => true, 'floatsUntilWritten' => true]), 'off off off off off off told off held off'];
        yield 'a gate behind that' => [self::relay($gate, $logicFed, ['onExpander' => true, 'floatsUntilWritten' => true]), 'off off off either either either told off held either'];
    }

    #[DataProvider('chains')]
    public function test_each_phase_is_what_the_table_says(Setup $setup, string $says): void
    {
        $words = array_map(static fn (Phase $phase): string => str_replace('as told', 'told', (new Chain($setup))->in($phase)->word), Phase::ofTheMatrix());
        self::assertSame($says, implode(' ', $words));
    }

    #[DataProvider('chains')]
    public function test_the_chain_ends_with_the_load_and_either_counts_as_both(Setup $setup, string $says): void
    {
        foreach (Phase::ofTheMatrix() as $phase) {
            $standing = (new Chain($setup))->in($phase);
            self::assertNotSame([], $standing->chain);
            [$on, $off] = match ($standing->word) {
                'ON' => [true, null],
                'off' => [false, true],
                'either', 'held' => [true, true],
                '–' => [false, false],
                default => [null, null],
            };
            self::assertSame([$on ?? $standing->mayBeOn, $off ?? $standing->mayBeOff], [$standing->mayBeOn, $standing->mayBeOff], $phase->value);
            if ($standing->occurs && $phase !== Phase::Hung) {
                self::assertSame('Load', $standing->chain[count($standing->chain) - 1]->what, $phase->value);
            }
        }
        self::assertNotSame('', $says);
    }

    public function test_what_is_welded_is_broken_by_something_else_alone(): void
    {
        self::assertTrue((new Chain(self::relay()))->in(Phase::Welded)->mayBeOn);
        foreach ([SecondBreak::Thermostat, SecondBreak::Float, SecondBreak::Stops, SecondBreak::Contact] as $break) {
            self::assertFalse((new Chain(self::relay(['secondBreak' => $break])))->in(Phase::Welded)->mayBeOn);
        }
    }
}
