<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Can;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Build\Fingerprint;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Medium\Can\CanMessages;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** What is found on a bus, and what is not: a sound bus of two boards and a bought drive, and one thing otherwise at a time. */
final class CanRulesTest extends CoreTestCase
{
    private const CHARGE = ['name' => 'Charge', 'start' => 0, 'bits' => 10, 'scale' => 0.1];

    /**
     * @param  array<string, mixed>  $bus  settings
     * @param  array<string, mixed>  $desk  settings of the first end
     * @param  array<string, mixed>  $box  settings of the last
     * @param  array<string, mixed>  $message  of the drive
     * @param  list<array<string, mixed>>  $signals
     * @param  array<string, mixed>  $reading  settings of its reading
     */
    private static function bus(array $bus = [], array $desk = [], array $box = [], array $message = [], array $signals = [self::CHARGE], ?string $terminal = 'Charge', array $reading = [], ControlKind $kind = ControlKind::Reading): Sketch
    {
        return self::sketch()->link('l', 'Bus', 'can', ['bitrate' => 125_000, 'lengthM' => 20.0, ...$bus])
            ->node('a', 'Desk', NodeKind::Controller, null, '8bit-5v-70io')->module('aw', 'a', 'can-spi-5v', 'Bus', FedFrom::Board5V)->module('ak', 'a', 'button-pad-1', 'Key')->control('k', 'a', 'Key')->output('al', 'a', 'Desk lamp', OutputKind::Lamp)
            ->node('d', 'Drive', NodeKind::Fixture, null, null)
            ->node('b', 'Box', NodeKind::Controller, null, '8bit-5v-70io')->module('bw', 'b', 'can-spi-5v', 'Bus', FedFrom::Board5V)->output('bl', 'b', 'Box lamp', OutputKind::Lamp)
            ->join('l', 'a', Role::Both, 'aw', ['identifier' => 0x201, 'terminated' => true, ...$desk])->join('l', 'd', Role::Both)->join('l', 'b', Role::Both, 'bw', ['identifier' => 0x401, 'terminated' => true, ...$box])
            ->busMessage('m', 'l', 'd', 'State', $message['id'] ?? 0x2A1, ['periodMs' => 500, ...array_diff_key($message, ['id' => 0])], $signals)
            ->control('r', 'd', 'Level', $kind, null, $terminal, $kind === ControlKind::Reading ? ['threshold' => 40.0, 'hysteresis' => 5.0, ...$reading] : [])
            ->route('r', Action::On, 'al')->hop('r al on', 'l', 'd', 'a', null)
            ->route('k', Action::Toggle, 'bl')->hop('k bl toggle', 'l', 'a', 'b', 1);
    }

    /**
     * @param  list<array<string, mixed>>  $signals  of what the desk tells the drive
     */
    private static function told(array $signals, ?string $channel, Action $action = Action::On, ?int $value = null): Sketch
    {
        return self::bus()->busMessage('own', 'l', 'a', 'Drive is told', 0x180, ['bytes' => 2, 'periodMs' => 100], $signals)->output('f', 'd', 'Speed', OutputKind::Function, null, $channel)
            ->control('k2', 'a', 'Other key')->route('k2', $action, 'f', value: $value)->hop('k2 f '.strtolower($action->value), 'l', 'a', 'd', null);
    }

    /** @return iterable<string, array{string, Closure(): Sketch, list<string>}> */
    public static function cases(): iterable
    {
        // ISO 11898-1: 8 MHz, halved, makes 125 kbit/s of 32 clocks; 7 MHz makes 3.5 of 28.
        yield 'a crystal that makes the rate' => ['can-rate-unreachable', static fn () => self::bus(desk: ['clockMHz' => 7.0]), []];
        yield 'a crystal that does not' => ['can-rate-unreachable', static fn () => self::bus(['bitrate' => 800_000], ['clockMHz' => 10.0], ['clockMHz' => 16.0]), ['Desk makes 800000 bit/s 4.17 % wrong']];
        // CiA 301.
        yield 'one that comes nowhere near' => ['can-rate-unreachable', static fn () => self::bus(['bitrate' => 800_000], ['clockMHz' => 7.0], ['clockMHz' => 16.0]), ['Desk cannot make 800000 bit/s of its clock']];
        yield 'as long as it reaches' => ['can-bus-too-long', static fn () => self::bus(['lengthM' => 500.0]), []];
        yield 'longer than it reaches' => ['can-bus-too-long', static fn () => self::bus(['lengthM' => 501.0]), ['501 m at 125000 bit/s: it reaches 500']];
        yield 'of a length' => ['can-length-unknown', static fn () => self::bus(), []];
        yield 'of no length' => ['can-length-unknown', static fn () => self::bus(['lengthM' => null]), ['Nobody said how long Bus is']];
        yield 'of no length, and not ours' => ['can-length-unknown', static fn () => self::bus(['lengthM' => null, 'foreign' => true]), []];
        $cable = static fn (float $m) => self::bus()->cable('c', 'd', 'b', 'Cable', ['lengthM' => $m, 'twisted' => true], [['core' => 1, 'use' => 'a', 'link' => 'l'], ['core' => 2, 'use' => 'b', 'link' => 'l']]);
        yield 'in as much cable' => ['can-length-differs', static fn () => $cable(20.0), []];
        yield 'in more cable' => ['can-length-differs', static fn () => $cable(25.0), ['Bus runs in 25 m of cable and is said to be 20']];
        // ISO 11898-2: 0.3 m at 1 Mbit/s.
        yield 'a stub of two metres' => ['can-stub-too-long', static fn () => self::bus(desk: ['stubM' => 2.4]), []];
        yield 'a longer one' => ['can-stub-too-long', static fn () => self::bus(desk: ['stubM' => 2.5]), ['Desk hangs on Bus by 2.5 m; at this rate 2.4 m are the most']];
        // ISO 11898-2: 120 Ω at both ends, 60 in all.
        yield 'both ends' => ['can-terminators', static fn () => self::bus(), []];
        yield 'one end' => ['can-terminators', static fn () => self::bus(box: ['terminated' => false]), ['Only one end of Bus has its 120 Ω']];
        yield 'no end' => ['can-terminators', static fn () => self::bus(desk: ['terminated' => false], box: ['terminated' => false]), ['Nothing ends Bus']];
        yield 'three' => ['can-terminators', static fn () => self::bus()->node('e', 'End', NodeKind::Fixture, null, null)->join('l', 'e', Role::Both, null, ['terminated' => true]), ['3 resistors on Bus: 40 Ω in all']];
        yield 'two of 60 Ω' => ['can-terminators', static fn () => self::bus(desk: ['terminatorOhm' => 60], box: ['terminatorOhm' => 60]), ['2 resistors on Bus: 30 Ω in all']];
        yield '100 Ω' => ['can-terminator-unlike', static fn () => self::bus(box: ['terminatorOhm' => 100]), ['Box ends Bus with 100 Ω; 120 are meant']];
        yield '100 Ω that are off' => ['can-terminator-unlike', static fn () => self::bus(box: ['terminatorOhm' => 100, 'terminated' => false]), []];
        yield 'a resistor on a bus of one\'s own' => ['can-terminator-on-foreign', static fn () => self::bus(), []];
        yield 'a third one on a van\'s' => ['can-terminator-on-foreign', static fn () => self::bus(['foreign' => true], ['listenOnly' => true], ['listenOnly' => true, 'terminated' => false]), ['Desk adds its 120 Ω to Bus']];
        yield 'listening to a van' => ['can-not-silent', static fn () => self::bus(['foreign' => true], ['listenOnly' => true], ['listenOnly' => true]), []];
        yield 'more than listening' => ['can-not-silent', static fn () => self::bus(['foreign' => true], ['listenOnly' => true]), ['Box can speak on Bus, which is not ours']];
        yield 'a command over a bus of one\'s own' => ['can-foreign-told', static fn () => self::bus(), []];
        yield 'a command over a van\'s' => ['can-foreign-told', static fn () => self::bus(['foreign' => true]), ['Key would send onto Bus, which is not ours']];
        yield 'who listens and is to tell' => ['can-listener-tells', static fn () => self::bus(desk: ['listenOnly' => true]), ['Desk only listens to Bus: Key never gets through']];
        yield 'who listens and is told' => ['can-listener-tells', static fn () => self::bus(box: ['listenOnly' => true]), []];
        $two = static fn (bool $listens) => self::sketch()->link('l', 'Bus', 'can', ['lengthM' => 5.0])->node('a', 'Desk', NodeKind::Controller, null, '8bit-5v-70io')->node('b', 'Box', NodeKind::Controller, null, '8bit-5v-70io')->join('l', 'a', Role::Both)->join('l', 'b', Role::Receives, null, ['listenOnly' => $listens]);
        yield 'one that speaks to one that acknowledges' => ['can-nobody-acknowledges', static fn () => $two(false), []];
        yield 'one that speaks to one that does not' => ['can-nobody-acknowledges', static fn () => $two(true), ['Desk speaks alone on Bus: nobody acknowledges']];
        yield 'no identifier' => ['can-identifier-missing', static fn () => self::bus(desk: ['identifier' => null]), ['Desk has no identifier on Bus']];
        yield 'none, and none needed' => ['can-identifier-missing', static fn () => self::bus(box: ['identifier' => null, 'listenOnly' => true]), []];
        yield 'the highest of eleven bits' => ['can-identifier-impossible', static fn () => self::bus(message: ['id' => 0x7FF]), []];
        yield 'one higher' => ['can-identifier-impossible', static fn () => self::bus(message: ['id' => 0x800]), ['800 of State has more than eleven bits']];
        yield 'an identifier of a maker\'s' => ['can-identifier-shared', static fn () => self::bus(message: ['id' => 0x201]), ['201 is sent by Desk and Drive: commands and State']];
        yield 'the same digits of the longer kind' => ['can-identifier-shared', static fn () => self::bus(message: ['id' => 0x201, 'extended' => true]), []];
        // Davis and others 2007: 135 bits a frame of eight bytes at worst, with a command of 105 bits each 100 ms.
        yield 'half of the time' => ['can-load-high', static fn () => self::bus(message: ['periodMs' => 3]), []];
        yield 'more than half' => ['can-load-high', static fn () => self::bus(message: ['periodMs' => 2]), ['Bus is taken 54.8 % of the time']];
        yield 'more than there is' => ['can-load-high', static fn () => self::bus(message: ['periodMs' => 1]), ['Bus is taken 109 % of the time']];
        yield 'in time' => ['can-message-late', static fn () => self::bus(message: ['id' => 0x700, 'periodMs' => 2]), []];
        // 160 bits that are under way, 105 that go first, 135 of its own: 400 of 8 µs.
        yield 'behind a longer one that is not broken off' => ['can-message-late', static fn () => self::bus(message: ['periodMs' => 2])->busMessage('m2', 'l', 'd', 'Long', 0x1800_0000, ['extended' => true, 'periodMs' => 5_000]), ['State of Drive can take 3.2 ms, and has 2']];
        yield 'a signal within its message' => ['can-signal-outside', static fn () => self::bus(message: ['bytes' => 2]), []];
        yield 'one that is not' => ['can-signal-outside', static fn () => self::bus(message: ['bytes' => 1]), ['Charge begins at bit 0 and is 10 long: State has 1 byte']];
        yield 'signals beside each other' => ['can-signals-overlap', static fn () => self::bus(signals: [self::CHARGE, ['name' => 'Mode', 'start' => 10, 'bits' => 2]]), []];
        yield 'signals that share a bit' => ['can-signals-overlap', static fn () => self::bus(signals: [self::CHARGE, ['name' => 'Mode', 'start' => 9, 'bits' => 2]]), ['Charge and Mode of State share bits']];
        yield 'whether it is this figure' => ['can-signals-overlap', static fn () => self::bus(signals: [self::CHARGE, ['name' => 'Full', 'start' => 0, 'bits' => 10, 'equals' => 1_000]]), []];
        yield 'one name twice' => ['can-signal-twice', static fn () => self::bus()->busMessage('m2', 'l', 'd', 'More', 0x2A2, [], [self::CHARGE]), ['Drive has two signals called Charge']];
        yield 'one name of two' => ['can-signal-twice', static fn () => self::bus()->busMessage('m2', 'l', 'b', 'More', 0x2A2, [], [self::CHARGE]), []];
        yield 'a reading that is a signal' => ['can-reading-unknown', static fn () => self::bus(), []];
        yield 'one that is none yet' => ['can-reading-unknown', static fn () => self::bus(terminal: null), ['Level of Drive is no signal yet']];
        yield 'one that is another' => ['can-reading-unknown', static fn () => self::bus(terminal: 'Horn'), ['Drive sends no Horn']];
        yield 'a signal as a key' => ['can-reading-unknown', static fn () => self::bus(kind: ControlKind::Key), ['Level of Drive is no reading']];
        yield 'a function that is described' => ['can-function-unknown', static fn () => self::told([['name' => 'Run', 'start' => 0]], 'Run'), []];
        yield 'a function that is not' => ['can-function-unknown', static fn () => self::told([['name' => 'Run', 'start' => 0]], 'Speed'), ['Desk sends no Speed']];
        yield 'a function of no name' => ['can-function-unknown', static fn () => self::told([], null), ['Nothing says what Desk sends for Speed']];
        yield 'a message that comes' => ['can-silence-unseen', static fn () => self::bus(), []];
        yield 'one that comes when it likes' => ['can-silence-unseen', static fn () => self::bus(message: ['periodMs' => 0]), ['Desk lamp keeps what Level said last, whatever becomes of Drive']];
        yield 'a threshold that is reached' => ['can-threshold-beyond', static fn () => self::bus(reading: ['threshold' => 102.3]), []];
        yield 'one that is not (2)' => ['can-threshold-beyond', static fn () => self::bus(reading: ['threshold' => 102.4]), ['Charge goes from 0 to 102: Level never passes 102']];
        yield 'a signal that is told on' => ['can-function-cannot', static fn () => self::told([['name' => 'Run', 'start' => 0]], 'Run'), []];
        yield 'one that is to pulse' => ['can-function-cannot', static fn () => self::told([['name' => 'Run', 'start' => 0]], 'Run', Action::Pulse), ['Speed of Drive cannot pulse']];
        yield 'one that is turned over' => ['can-function-cannot', static fn () => self::told([['name' => 'Run', 'start' => 0]], 'Run', Action::Toggle), ['Speed of Drive cannot toggle']];
        yield 'one of more bits than are sent' => ['can-function-cannot', static fn () => self::told([['name' => 'Run', 'start' => 0, 'bits' => 33]], 'Run'), ['Run has 33 bits: boards send up to 32']];
        yield 'a figure that fits' => ['can-value-beyond', static fn () => self::told([['name' => 'Run', 'start' => 0, 'bits' => 4]], 'Run', Action::Set, 15), []];
        yield 'a figure that does not' => ['can-value-beyond', static fn () => self::told([['name' => 'Run', 'start' => 0, 'bits' => 4]], 'Run', Action::Set, 16), ['Run goes from 0 to 15: it bears no 16']];
        yield 'as long as boards read' => ['can-signal-too-long', static fn () => self::bus(signals: [['name' => 'Charge', 'start' => 0, 'bits' => 32]]), []];
        yield 'longer' => ['can-signal-too-long', static fn () => self::bus(signals: [['name' => 'Charge', 'start' => 0, 'bits' => 33]]), ['Charge has 33 bits: boards read up to 32']];
        yield 'filters enough' => ['can-filters-leak', static fn () => self::bus(), []];
    }

    /**
     * @param  Closure(): Sketch  $sketch
     * @param  list<string>  $titles
     */
    #[DataProvider('cases')]
    public function test_what_is_wrong_is_found_and_nothing_else(string $rule, Closure $sketch, array $titles): void
    {
        $found = self::checker()->check($sketch()->plan())->byRule()[$rule] ?? [];
        self::assertSame($titles, array_map(static fn (Finding $finding): string => $finding->title, $found));
    }

    public function test_a_sound_bus_is_found_nothing_of(): void
    {
        $found = array_filter(self::checker()->check(self::bus()->plan())->all(), static fn (Finding $finding): bool => str_starts_with($finding->rule(), 'can-'));
        self::assertSame([], array_map(static fn (Finding $finding): string => $finding->title, array_values($found)));
    }

    public function test_what_is_dangerous_is_held_only_by_what_is_known_to_have_stopped(): void
    {
        $held = static fn (int $periodMs): array => array_map(static fn (Finding $finding): string => $finding->title, self::checker()->check(self::bus(message: ['periodMs' => $periodMs])->output('h', 'a', 'Heater', more: ['hazards' => ['heat']])->route('r', Action::Follow, 'h')->hop('r h follow', 'l', 'd', 'a', null)->plan())->byRule()['held-for-ever'] ?? []);
        self::assertSame([], $held(500));
        self::assertSame(['Heater goes on when Drive falls silent'], $held(0));
    }

    /** A board that reads a signal must be flashed again when what the signal is becomes another; what it is called, or how it was found, is no matter. */
    public function test_what_comes_over_a_bus_is_of_its_fingerprint(): void
    {
        $of = static function (array $message, array $signals): string {
            $plan = self::bus(message: $message, signals: $signals)->plan();

            return Fingerprint::ofLink($plan, $plan->links()[0], self::knowledge());
        };
        $before = $of([], [self::CHARGE]);
        self::assertSame($before, $of(['name' => 'Otherwise', 'evidence' => 'heard'], [self::CHARGE]));
        foreach ([[['id' => 0x2A2], [self::CHARGE]], [['periodMs' => 600], [self::CHARGE]], [[], [[...self::CHARGE, 'scale' => 0.2]]], [[], [[...self::CHARGE, 'start' => 1]]]] as [$message, $signals]) {
            self::assertNotSame($before, $of($message, $signals));
        }
    }

    public function test_a_bus_that_is_not_ours_has_nothing_in_a_header_that_speaks(): void
    {
        $plan = self::bus(['foreign' => true])->plan();
        $text = implode("\n", (new CanMessages)->messageLines($plan, $plan->endpointsOn($plan->links()[0])[0], 0, 'BUS', new MessageNumbers($plan, self::knowledge()->media)));
        self::assertStringContainsString('bus_value', $text);
        self::assertDoesNotMatchRegularExpression('/node_to_|_due/', $text);
    }
}
