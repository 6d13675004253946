<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Dmx;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Behaviour\Clock;
use Rundfunk\Behaviour\Inputs;
use Rundfunk\Behaviour\Machine;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Behaviour\Tabulation;
use Rundfunk\Build\Artefact;
use Rundfunk\Build\Artefacts;
use Rundfunk\Build\Fingerprint;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Medium\Dmx\DmxBuild;
use Rundfunk\Medium\Dmx\DmxPanel;
use Rundfunk\Medium\Dmx\Listener;
use Rundfunk\Medium\Dmx\ListenerTables;
use Rundfunk\Medium\Dmx\Rehearsed;
use Rundfunk\Medium\Dmx\Sender;
use Rundfunk\Medium\Dmx\SenderTables;
use Rundfunk\Medium\Dmx\SlotStripView;
use Rundfunk\Medium\Dmx\SlotTell;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

/** What is found in a universe, and what is not: a sound one of a desk and two lamps, and one thing otherwise at a time. */
final class DmxRulesTest extends CoreTestCase
{
    private const SHUTTER = ['name' => 'Shutter', 'at' => 2, 'is' => 'shutter', 'rest' => 10, 'opensFrom' => 8, 'opensTo' => 15];

    /**
     * @param  array<string, mixed>  $link  settings
     * @param  array<string, mixed>  $desk  settings of its end
     * @param  array<string, mixed>  $one  of the first lamp
     * @param  array<string, mixed>  $two  of the second
     * @param  array<string, mixed>  $type
     * @param  list<array<string, mixed>>|null  $slots
     * @param  array<string, mixed>  $route
     */
    private static function lamps(array $link = [], array $desk = [], array $one = [], array $two = [], array $type = [], ?array $slots = null, array $route = [], string $part = 'dmx-driver-5v', string $board = '8bit-5v-70io', Action $action = Action::Set, ?string $channel = 'Red', int $value = 200): Sketch
    {
        $slots ??= [['name' => 'Red', 'at' => 1, 'is' => 'colour'], self::SHUTTER, ['name' => 'Blue', 'at' => 3, 'is' => 'colour']];

        return self::sketch()->link('l', 'Lamps', 'dmx', ['lengthM' => 20.0, ...$link])
            ->fixtureType('t', 'Lamp', ['addressBy' => 'switches', 'onLoss' => 'dark', 'modes' => [['name' => 'm', 'slots' => $slots], ['name' => 'fine', 'slots' => [['name' => 'Red', 'at' => 1, 'fineAt' => 2, 'is' => 'colour']]]], ...$type])
            ->node('n', 'Desk', NodeKind::Controller, null, $board)->module('w', 'n', $part, 'Line', FedFrom::Board5V)->join('l', 'n', Role::Sends, ($link['form'] ?? '') === 'network' ? null : 'w', $desk)
            ->module('kp', 'n', 'button-pad-1', 'Key')->control('k', 'n', 'Key')
            ->node('a', 'Left', NodeKind::Fixture, null, null, ['fixtureTypeId' => self::typeId()])->join('l', 'a', Role::Receives, null, ['start' => 1, ...$one])
            ->node('b', 'Right', NodeKind::Fixture, null, null, ['fixtureTypeId' => self::typeId()])->join('l', 'b', Role::Receives, null, ['start' => 4, 'terminated' => true, ...$two])
            ->output('ar', 'a', 'Red', OutputKind::Function, null, $channel, more: ['settings' => ['lowest' => 0, 'highest' => 255]])->output('br', 'b', 'Red', OutputKind::Function, null, 'Red', more: ['settings' => ['lowest' => 0, 'highest' => 255]])
            ->route('k', $action, 'ar', $action === Action::Pulse ? 500 : null, $action === Action::Set ? $value : null, $route)->hop('k ar '.$action->value, 'l', 'n', 'a', null)
            ->route('k', Action::Off, 'br')->hop('k br off', 'l', 'n', 'b', null);
    }

    private static function typeId(): string
    {
        return self::sketch()->id('t');
    }

    /**
     * A board of ours that obeys, and a key for it.
     *
     * @param  list<string>  $hazards
     */
    private static function own(Action $action, array $hazards = []): Sketch
    {
        return self::lamps()->node('o', 'Dimmer', NodeKind::Controller, null, '8bit-5v-70io')->module('ow', 'o', 'dmx-receiver-5v', 'Line', FedFrom::Board5V)->join('l', 'o', Role::Receives, 'ow', ['start' => 30])
            ->module('or', 'o', 'relay-bank-1-high', 'Relay', FedFrom::Own)->output('ol', 'o', 'Fan', OutputKind::Relay, 'or', more: ['hazards' => $hazards])
            ->route('k', $action, 'ol', $action === Action::Pulse ? 500 : null)->hop('k ol '.$action->value, 'l', 'n', 'o', null);
    }

    /** A dimmer of ours, set to a value in two seconds; null where a stick says it. */
    private static function dimmed(?int $value): Sketch
    {
        return self::own(Action::Momentary)->module('og', 'o', 'transistor-4v5', 'Gate')->output('op', 'o', 'Level', OutputKind::Pwm, 'og', 'GATE')->module('js', 'n', 'joystick', 'Stick')->control('x', 'n', 'Stick', ControlKind::Axis, 'js', 'X')
            ->route('x', Action::Set, 'op', null, $value, ['fadeMs' => 2_000])->hop('x op set', 'l', 'n', 'o', null);
    }

    /** @return iterable<string, array{string, Closure(): Sketch, list<string>}> the rule, the plan, and what is found of it */
    public static function cases(): iterable
    {
        // ANSI E1.11.
        yield 'a break that is too short' => ['dmx-timing-short', static fn () => self::lamps(['breakUs' => 91]), ['The break of Lamps takes 91 µs']];
        yield 'a mark that is too short' => ['dmx-timing-short', static fn () => self::lamps(['markUs' => 11]), ['The mark of Lamps takes 11 µs']];
        yield 'both just long enough' => ['dmx-timing-short', static fn () => self::lamps(['breakUs' => 92, 'markUs' => 12]), []];
        yield 'no break by network' => ['dmx-timing-short', static fn () => self::lamps(['form' => 'network', 'universe' => 1, 'breakUs' => 50]), []];
        yield 'as long as is usual' => ['dmx-too-long', static fn () => self::lamps(['lengthM' => 300.0]), []];
        yield 'longer' => ['dmx-too-long', static fn () => self::lamps(['lengthM' => 301.0]), ['Lamps is 301 m long']];
        yield 'one that shares two slots' => ['dmx-slots-overlap', static fn () => self::lamps(two: ['start' => 2]), ['Left and Right share slots 2 to 3 of Lamps']];
        yield 'the same address without a word' => ['dmx-slots-overlap', static fn () => self::lamps(two: ['start' => 1]), ['Left and Right share slots 1 to 3 of Lamps']];
        yield 'one within another' => ['dmx-slots-overlap', static fn () => self::lamps(two: ['start' => 2, 'mode' => 'fine']), ['Left and Right share slots 2 to 3 of Lamps']];
        yield 'the last of a universe' => ['dmx-beyond-universe', static fn () => self::lamps(two: ['start' => 510]), []];
        yield 'one slot farther' => ['dmx-beyond-universe', static fn () => self::lamps(two: ['start' => 511]), ['Right reaches to slot 513 of Lamps']];
        yield 'nine switches reach 511' => ['dmx-switches-cannot', static fn () => self::lamps(two: ['start' => 511, 'mode' => 'fine']), []];
        yield 'nine switches do not reach 512' => ['dmx-switches-cannot', static fn () => self::lamps(two: ['start' => 512], slots: [['name' => 'Red', 'at' => 1, 'is' => 'colour']]), ['The switches of Right cannot say 512']];
        yield 'nine reach it where all off is 1' => ['dmx-switches-cannot', static fn () => self::lamps(two: ['start' => 512], type: ['addressBy' => 'switches-plus-one'], slots: [['name' => 'Red', 'at' => 1, 'is' => 'colour']]), []];
        yield 'no address' => ['dmx-address-missing', static fn () => self::lamps(two: ['start' => null]), ['Right has no start address on Lamps']];
        yield 'a mode that is not there' => ['dmx-mode-unknown', static fn () => self::lamps(two: ['mode' => '9 slots']), ['Lamp has no mode "9 slots"']];
        yield 'a kind without modes' => ['dmx-mode-unknown', static fn () => self::lamps(type: ['modes' => []]), ['Lamp has no mode with slots', 'Lamp has no mode with slots']];
        yield 'nobody sends' => ['dmx-sender-missing', static fn () => self::lamps()->change(ThingKind::Endpoint, 'l n', ['role' => 'receives']), ['Nobody tells Lamps anything']];
        yield 'two send' => ['dmx-two-senders', static fn () => self::lamps()->change(ThingKind::Endpoint, 'l b', ['role' => 'both']), ['Desk and Right both drive Lamps']];
        yield 'two of one priority by network' => ['dmx-priority-tied', static fn () => self::lamps(['form' => 'network', 'universe' => 1])->change(ThingKind::Endpoint, 'l b', ['role' => 'both']), ['Desk and Right send Lamps with the same priority']];
        yield 'two of which one goes first' => ['dmx-priority-tied', static fn () => self::lamps(['form' => 'network', 'universe' => 1], ['priority' => 101])->change(ThingKind::Endpoint, 'l b', ['role' => 'both']), []];
        yield 'a bare pin' => ['dmx-bare-pin', static fn () => self::lamps(part: 'dmx-wire'), ['A pin of Desk goes straight into a lamp of Lamps']];
        yield 'a bridge that is not told as one' => ['dmx-part-unlike', static fn () => self::lamps(part: 'dmx-bridge'), ['Line of Desk is a bridge, and is not told as one']];
        yield 'a driver that is told as a bridge' => ['dmx-part-unlike', static fn () => self::lamps(desk: ['bridges' => true]), ['Line of Desk is no bridge, and is told as one']];
        yield 'a driver of four outputs' => ['dmx-part-unlike', static fn () => self::lamps(part: 'dmx-splitter-4'), ['Line of Desk has 4 outputs']];
        yield 'the same, said' => ['dmx-part-unlike', static fn () => self::lamps(desk: ['outputs' => 4], part: 'dmx-splitter-4'), []];
        yield 'a bridge on USB at a small board' => ['dmx-usb-missing', static fn () => self::lamps(desk: ['bridges' => true], part: 'dmx-bridge-usb'), ['Line of Desk is on USB, and the board has nothing to plug it into']];
        yield 'a bridge on USB at a computer' => ['dmx-usb-missing', static fn () => self::lamps(desk: ['bridges' => true], part: 'dmx-bridge-usb', board: 'computer-40pin'), []];
        // 16 MHz ÷ 16 ÷ 4 is 250 000, nothing off.
        yield 'a clock that fits' => ['dmx-clock-unfit', static fn () => self::lamps(), []];
        yield 'nothing at the last' => ['dmx-terminators', static fn () => self::lamps(two: ['terminated' => false]), ['Nothing ends Lamps at Right']];
        yield 'one too many' => ['dmx-terminators', static fn () => self::lamps(one: ['terminated' => true]), ['Left has its 120 Ω on in the middle of Lamps']];
        yield 'each stretch has its own' => ['dmx-terminators', static fn () => self::lamps(desk: ['outputs' => 4], one: ['terminated' => true], two: ['segment' => 2], part: 'dmx-splitter-4'), []];
        yield 'no splitter for a stretch' => ['dmx-segment-unfed', static fn () => self::lamps(two: ['segment' => 2]), ['Segment 2 of Lamps begins at no splitter']];
        yield 'a splitter on the way' => ['dmx-segment-unfed', static fn () => self::lamps(one: ['outputs' => 2], two: ['segment' => 3]), []];
        yield 'one stretch more than it has outputs' => ['dmx-segment-unfed', static fn () => self::lamps(one: ['outputs' => 2], two: ['segment' => 4]), ['Segment 4 of Lamps begins at no splitter']];
        yield 'as many loads as a driver feeds' => ['dmx-too-many-loads', static fn () => self::copies(self::lamps(type: ['unitLoads' => 4.0]), 6), []];
        yield 'more' => ['dmx-too-many-loads', static fn () => self::copies(self::lamps(type: ['unitLoads' => 4.0]), 7), ['36 unit loads on segment 1 of Lamps, where a driver feeds 32']];
        yield 'a sender in the middle' => ['dmx-sender-between', static fn () => self::lamps()->change(ThingKind::Endpoint, 'l n', ['order' => 500]), ['Desk stands in the middle of Lamps']];
        yield 'slots that are not sent' => ['dmx-slots-short', static fn () => self::lamps(['slots' => 5]), ['Lamps sends 5 slots, and 6 are listened to']];
        yield 'just as many as are listened to' => ['dmx-slots-short', static fn () => self::lamps(['slots' => 6]), []];
        yield 'a slot that its mode does not have' => ['dmx-slot-unknown', static fn () => self::lamps(channel: 'Amber'), ['Red of Left is none of its slots']];
        yield 'a slot that another function is' => ['dmx-slot-unknown', static fn () => self::lamps()->output('ax', 'a', 'Other red', OutputKind::Function, null, 'Red', more: ['settings' => ['lowest' => 0, 'highest' => 255]])->route('k', Action::On, 'ax')->hop('k ax on', 'l', 'n', 'a', null), ['Red of Left is another function already']];
        yield 'a shutter that stays down' => ['dmx-nothing-shows', static fn () => self::lamps(slots: [['name' => 'Red', 'at' => 1, 'is' => 'colour'], [...self::SHUTTER, 'rest' => 0], ['name' => 'Blue', 'at' => 3]]), ['Left is told its colours, and its Shutter stays down', 'Right is told its colours, and its Shutter stays down']];
        yield 'a shutter that a key opens too far' => ['dmx-nothing-shows', static fn () => self::shuttered(255), ['Left is told its colours, and its Shutter stays down', 'Right is told its colours, and its Shutter stays down']];
        yield 'a shutter that a key opens' => ['dmx-nothing-shows', static fn () => self::shuttered(9), ['Right is told its colours, and its Shutter stays down']];
        yield 'a key that lights and shuts at once' => ['dmx-shut-at-once', static fn () => self::shuttered(255), ['Key lights Left and closes its Shutter']];
        yield 'a key that lights and opens at once' => ['dmx-shut-at-once', static fn () => self::shuttered(9), []];
        yield 'a fade of few packets' => ['dmx-fade-jumps', static fn () => self::lamps(['slots' => 512], route: ['fadeMs' => 200]), ['Red of Left goes there in 8 steps']];
        yield 'a fade of enough' => ['dmx-fade-jumps', static fn () => self::lamps(['slots' => 512], route: ['fadeMs' => 230]), []];
        yield 'a fade whose every step shows' => ['dmx-fade-coarse', static fn () => self::lamps(route: ['fadeMs' => 60_000]), ['Red of Left fades so slowly that each step shows']];
        yield 'the same in sixteen bits' => ['dmx-fade-coarse', static fn () => self::lamps(one: ['mode' => 'fine'], route: ['fadeMs' => 60_000]), []];
        yield 'bits that the program times' => ['dmx-by-software', static fn () => self::lamps()->wire('w', 'DI', 'D40', false, true), ['250000 baud are too fast for a serial line by software']];
        yield 'words to a bridge that it times' => ['dmx-by-software', static fn () => self::lamps(desk: ['bridges' => true], part: 'dmx-bridge')->wire('w', 'RX', 'D40', false, true), []];
        yield 'a desk that sleeps' => ['dmx-sleeps', static fn () => self::lamps()->sleeping('n'), ['Desk tells Lamps, and sleeps']];
        yield 'a strip on a board that obeys' => ['strip-deafens', static fn () => self::own(Action::Momentary)->module('os', 'o', 'strip-pixels', 'Strip', FedFrom::Own)->wire('os', 'DIN', 'D6')->wire('ow', 'RO', 'D19')->output('ox', 'o', 'Lights', OutputKind::Strip, 'os', 'DIN', more: ['settings' => ['pixels' => 60]]), ['Line of Dimmer hears nothing while Strip is written']];
        yield 'words that no bridge reads' => ['dmx-bridge-words', static fn () => self::lamps(desk: ['bridges' => true, 'template' => '{slot}{value}'], part: 'dmx-bridge'), ['The bridge of Desk cannot read "{slot}{value}"']];
        // 7 letters of 10 bits at 2400 baud are 29 ms, and two of them 58: five steps in 300 ms.
        yield 'a line that is too slow for a fade' => ['dmx-bridge-slow', static fn () => self::lamps(desk: ['bridges' => true, 'baud' => 2_400], route: ['fadeMs' => 300], part: 'dmx-bridge'), ['Key tells the bridge 2 slots, one after another in 58.3 ms']];
        yield 'a line that is fast enough' => ['dmx-bridge-slow', static fn () => self::lamps(desk: ['bridges' => true, 'baud' => 9_600], route: ['fadeMs' => 300], part: 'dmx-bridge'), []];
        yield 'no number by network' => ['dmx-universe-missing', static fn () => self::lamps(['form' => 'network']), ['Lamps has no number']];
        yield 'a number that another has' => ['dmx-universe-shared', static fn () => self::lamps(['form' => 'network', 'universe' => 4])->link('m', 'More', 'dmx', ['form' => 'network', 'universe' => 4]), ['Lamps and More are both universe 4']];
        yield 'nobody looked it up' => ['dmx-loss-unsaid', static fn () => self::lamps(type: ['onLoss' => 'unknown']), ['Nobody has looked up what Lamp does when nothing comes any more']];
        yield 'a kind that cannot be' => ['dmx-fixture-odd', static fn () => self::lamps(slots: [['name' => 'Red', 'at' => 1], ['name' => 'Blue', 'at' => 1]]), ['Lamp, m: Red and Blue are both slot 1']];
        yield 'figures that go back' => ['dmx-fixture-odd', static fn () => self::lamps(slots: [['name' => 'Red', 'at' => 1, 'ranges' => '10-20=a, 5-9=b']]), ['Lamp, m: what Red means cannot be read, or goes back: "10-20=a, 5-9=b"']];
        yield 'a lamp that nobody tells' => ['dmx-idle', static fn () => self::copies(self::lamps(), 1), ['Nothing is ever said to Copy 1']];
        yield 'a lamp that nobody has described' => ['dmx-undescribed', static fn () => self::lamps()->change(ThingKind::Node, 'a', ['fixtureTypeId' => null]), ['Nobody has said what Left takes on Lamps']];
        yield 'what is turned over at a board of ours' => ['dmx-cannot', static fn () => self::own(Action::Toggle), ['Fan of Dimmer cannot toggle over Lamps']];
        yield 'what is held on there' => ['dmx-cannot', static fn () => self::own(Action::Momentary), []];
        yield 'what is turned over at a lamp' => ['dmx-cannot', static fn () => self::lamps(action: Action::Toggle), []];
        yield 'what can hurt' => ['dmx-hazard', static fn () => self::own(Action::Momentary, ['motion']), ['Fan can hurt, and Lamps works it']];
        yield 'the mains alone' => ['dmx-hazard', static fn () => self::own(Action::Momentary, ['mains']), []];
        yield 'what can hurt behind a board that hands it on' => ['dmx-hazard', static fn () => self::own(Action::Momentary)->link('r', 'Air', 'packet-radio')->module('orad', 'o', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)->join('r', 'o', Role::Sends, 'orad')
            ->node('g', 'Gate', NodeKind::Controller, null, '8bit-5v-20io')->module('grad', 'g', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)->join('r', 'g', Role::Receives, 'grad')->output('gate', 'g', 'Wing', more: ['hazards' => ['motion']])
            ->route('k', Action::On, 'gate')->hop('k gate on', 'l', 'n', 'o', null)->hop('k gate on', 'r', 'o', 'g', 1)->change(ThingKind::Hop, 'k gate on r', ['order' => 1]), ['Wing can hurt, and Lamps works it']];
        yield 'what a lamp is to say' => ['dmx-one-way', static fn () => self::lamps()->change(ThingKind::Endpoint, 'l b', ['role' => 'sends'])->control('warm', 'b', 'Warm', ControlKind::Reading, settings: ['threshold' => 1.0])->change(ThingKind::Endpoint, 'l n', ['role' => 'receives'])->output('x', 'n', 'X')->route('warm', Action::Follow, 'x')->hop('warm x follow', 'l', 'b', 'n', null), ['Right is to say something over Lamps']];
        yield 'a pulse that ends before its fade' => ['fade-unfinished', static fn () => self::lamps(route: ['fadeMs' => 2_000], action: Action::Pulse), ['Red of Left never gets there: its pulse ends at 25 % of the fade']];
        yield 'a pulse as long as its fade' => ['fade-unfinished', static fn () => self::lamps(route: ['fadeMs' => 500], action: Action::Pulse), []];
        yield 'a fade that nobody makes' => ['fade-unfinished', static fn () => self::own(Action::On)->output('nl', 'n', 'Lamp', OutputKind::Lamp)->route('k', Action::Pulse, 'nl', 500, more: ['fadeMs' => 900]), []];
        yield 'a fade to a relay' => ['fade-lost', static fn () => self::own(Action::On)->output('nl', 'n', 'Lamp', OutputKind::Lamp)->route('k', Action::On, 'nl', more: ['fadeMs' => 500]), ['Lamp does not fade: it goes there at once']];
        yield 'a fade to a board of ours that knows places only' => ['fade-lost', static fn () => self::dimmed(60), ['Level does not fade: it goes there at once']];
        yield 'a fade to one that takes whatever comes' => ['fade-lost', static fn () => self::dimmed(null), []];
        yield 'a fade to a slot' => ['fade-lost', static fn () => self::lamps(route: ['fadeMs' => 500]), []];
        yield 'a node without a network' => ['endpoint-without-module', static fn () => self::lamps(['form' => 'network', 'universe' => 1]), ['Desk is on Lamps and on no IP']];
        yield 'a node with one' => ['endpoint-without-module', static fn () => self::lamps(['form' => 'network', 'universe' => 1], board: 'computer-40pin')->link('net', 'House', 'ip')->join('net', 'n', Role::Both), []];
    }

    private static function copies(Sketch $sketch, int $count): Sketch
    {
        foreach (range(1, $count) as $copy) {
            $sketch->node("c{$copy}", "Copy {$copy}", NodeKind::Fixture, null, null, ['fixtureTypeId' => self::typeId()])->join('l', "c{$copy}", Role::Receives, null, ['start' => 20 + 3 * $copy]);
        }

        return $sketch;
    }

    private static function shuttered(int $value): Sketch
    {
        return self::lamps(slots: [['name' => 'Red', 'at' => 1, 'is' => 'colour'], [...self::SHUTTER, 'rest' => 0], ['name' => 'Blue', 'at' => 3]])
            ->output('as', 'a', 'Shutter', OutputKind::Function, null, 'Shutter', more: ['settings' => ['lowest' => 0, 'highest' => 255]])->route('k', Action::Set, 'as', value: $value)->hop('k as set', 'l', 'n', 'a', null);
    }

    /**
     * @param  Closure(): Sketch  $sketch
     * @param  list<string>  $titles
     */
    #[DataProvider('cases')]
    public function test_what_is_found(string $rule, Closure $sketch, array $titles): void
    {
        $found = array_values(array_filter(self::checker()->check($sketch()->plan())->all(), static fn (Finding $finding): bool => $finding->rule() === $rule));
        self::assertSame($titles, array_map(static fn (Finding $finding): string => $finding->title, $found));
    }

    public function test_a_sound_universe_is_found_sound(): void
    {
        foreach ([self::lamps(), self::lamps(desk: ['bridges' => true], part: 'dmx-bridge'), self::own(Action::Momentary)] as $sketch) {
            $found = array_filter(self::checker()->check($sketch->plan())->all(), static fn (Finding $finding): bool => str_starts_with($finding->rule(), 'dmx-') || $finding->rule() === 'endpoint-without-module');
            // In the third a board of ours is the last on the cable, without a resistor, and nobody has said what it does without data.
            self::assertSame([], array_diff(array_map(static fn (Finding $finding): string => $finding->rule(), $found), ['dmx-terminators', 'dmx-loss-holds']));
        }
    }

    public function test_two_that_are_meant_to_be_one_may_share_and_stay_so(): void
    {
        $plan = self::lamps(two: ['start' => 1])->change(ThingKind::Endpoint, 'l b', ['deliberate' => ['broadcast']])->plan();
        self::assertNotContains('dmx-slots-overlap', array_map(static fn (Finding $finding): string => $finding->rule(), self::checker()->check($plan)->all()));
        $right = array_values(array_filter(self::assigner()->assign($plan)->plan->endpoints(), static fn (Endpoint $end): bool => $plan->node($end->nodeId)->name === 'Right'))[0];
        self::assertSame(1, $right->settings['start']);
        $unlike = self::lamps(two: ['start' => 1, 'mode' => 'fine'])->change(ThingKind::Endpoint, 'l b', ['deliberate' => ['broadcast']])->plan();
        self::assertContains('Left and Right are to do the same, and are not alike', array_map(static fn (Finding $finding): string => $finding->title, self::checker()->check($unlike)->all()));
    }

    public function test_what_a_builder_gets(): void
    {
        $plan = self::lamps(two: ['start' => 37])->plan();
        $named = static fn (string $name): Node => array_values(array_filter($plan->nodes(), static fn (Node $node): bool => $node->name === $name))[0];
        $end = static fn (string $name): Endpoint => $plan->endpointsOf($named($name))[0];
        self::assertSame(['start address 37', 'switches 1, 3 and 6 on', 'mode "m"', 'its 120 Ω on'], (new DmxBuild)->settingUp($plan, $end('Right')));
        $csv = Artefacts::named($plan, $named('Desk'), self::knowledge(), 'dmx-patch')->content;
        self::assertStringContainsString("Right,Lamp,m,37,39,\"1, 3 and 6 on\",38,Shutter,10,\r\n", $csv);
        $svg = Artefacts::named($plan, $named('Desk'), self::knowledge(), 'dmx-patch-sheet')->content;
        self::assertNotFalse(simplexml_load_string($svg));
        $figures = (new DmxPanel)->panel($plan, $plan->links()[0], self::knowledge());
        self::assertSame([39, 37, 39], [$figures->slotsSent, $figures->fixtures[1]->start, $figures->fixtures[1]->last]);
        self::assertSame('1, 3 and 6 on', $figures->fixtures[1]->switches);
        self::assertSame(['200', 'rest'], array_map(static fn ($cue): string => $cue->says, $figures->triggers[0]->cues));
        // A fade is nothing that the settings of the link hold, and both ends need know of it all the same.
        $faded = self::lamps(two: ['start' => 37], route: ['fadeMs' => 900])->plan();
        self::assertNotSame(Fingerprint::ofLink($plan, $plan->links()[0], self::knowledge()), Fingerprint::ofLink($faded, $faded->links()[0], self::knowledge()));
    }

    public function test_a_node_on_two_universes_has_each_file_under_a_key_of_its_own(): void
    {
        $plan = self::lamps()->link('m', 'More lamps', 'dmx')->module('w2', 'n', 'dmx-driver-5v', 'Second line', FedFrom::Board5V)->join('m', 'n', Role::Sends, 'w2')
            ->node('c', 'Far', NodeKind::Fixture, null, null, ['fixtureTypeId' => self::typeId()])->join('m', 'c', Role::Receives, null, ['start' => 9, 'terminated' => true])->plan();
        $desk = array_values(array_filter($plan->nodes(), static fn (Node $node): bool => $node->name === 'Desk'))[0];
        $keys = array_map(static fn (Artefact $one): string => $one->key, Artefacts::of($plan, $desk, self::knowledge()));
        self::assertSame(array_values(array_unique($keys)), $keys);
        self::assertStringContainsString('Left,Lamp,m,1,', Artefacts::named($plan, $desk, self::knowledge(), 'dmx-patch')->content);
        self::assertStringContainsString('Far,Lamp,m,9,', Artefacts::named($plan, $desk, self::knowledge(), 'dmx-patch-2')->content);
    }

    public function test_a_value_that_the_plan_says_is_told_whatever_comes_with_the_message(): void
    {
        // What is handed on from a remote's key or a call bears no value: it would put the lamp to nothing.
        $plan = self::lamps()->control('k2', 'n', 'Other key')->route('k2', Action::Set, 'ar', value: 90)->hop('k2 ar set', 'l', 'n', 'a', null)->plan();
        $tables = SenderTables::of($plan, array_values(array_filter($plan->endpoints(), static fn (Endpoint $end): bool => $end->role === Role::Sends))[0], new MessageNumbers($plan, self::knowledge()->media));
        $sets = array_values(array_filter($tables->tells, static fn (SlotTell $tell): bool => $tell->action === Action::Set));
        self::assertCount(2, $sets);
        $said = [];
        foreach ($sets as $at => $tell) {
            $sender = new Sender($tables);
            $sender->tell($tell->node, $tell->code, 0, 1_000 * $at);
            $said[] = ord($sender->slots(1_000 * $at + 10)[0]);
        }
        sort($said);
        self::assertSame([90, 200], $said);
    }

    public function test_a_bridge_sends_as_many_slots_as_is_counted_with(): void
    {
        $plan = self::lamps(desk: ['bridges' => true], two: ['start' => 37], part: 'dmx-bridge')->plan();
        $desk = array_values(array_filter($plan->nodes(), static fn (Node $node): bool => $node->name === 'Desk'))[0];
        self::assertStringContainsString('#define BRIDGE_SLOTS 39', Artefacts::named($plan, $desk, self::knowledge(), 'dmx-bridge')->content);
    }

    public function test_a_rehearsed_fade_goes_up_packet_by_packet_and_arrives(): void
    {
        $plan = self::lamps(['slots' => 512, 'breakUs' => 92, 'markUs' => 12], route: ['fadeMs' => 400])->plan();
        $played = Rehearsed::of($plan, Universe::of($plan, $plan->links()[0]), [[100, self::control($plan)]], 1_500, self::knowledge());
        self::assertNotNull($played);
        $points = $played->rows[0]['points'];
        self::assertSame([0, 0], $points[0]);
        $values = array_column($points, 1);
        $sorted = $values;
        sort($sorted);
        self::assertSame($sorted, $values);
        self::assertSame(200, $values[count($values) - 1]);
        // The key is debounced, then 17 packets go out in 400 ms: the first change may fall to either side.
        self::assertEqualsWithDelta(17, count($values) - 1, 1);
        self::assertEqualsWithDelta(400, $points[count($points) - 1][0] - $points[1][0], 50);
    }

    public function test_a_strip_is_drawn_of_what_is_asked_and_of_nothing_else(): void
    {
        $plan = self::lamps(route: ['fadeMs' => 400])->link('other', 'House', 'ip')->plan();
        [$link, $other] = $plan->links();
        $key = self::control($plan)->id;
        $view = new SlotStripView;
        $shown = $view->of("{$link->id} 2000 {$key}@100", $plan, self::knowledge());
        self::assertNotNull($shown);
        self::assertMatchesRegularExpression('/^Left: Red changes \d+ times, at most 200, at last 200\.$/', $shown->words);
        self::assertNotFalse(simplexml_load_string("<svg>{$shown->svg}</svg>"));
        self::assertStringContainsString('at least', (string) $view->of("{$link->id} 60000 {$key}@100", $plan, self::knowledge())?->words);
        self::assertStringContainsString('stays at 0', (string) $view->of('', $plan, self::knowledge())?->words);
        foreach (["{$other->id} 2000", 'nothing 2000', "{$link->id} 0", "{$link->id} 60001", "{$link->id} -5", "{$link->id} 2000".str_repeat(" {$key}@1", 99)] as $asked) {
            self::assertNull($view->of($asked, $plan, self::knowledge()), $asked);
        }
        foreach (["{$link->id} 2000 {$key}@2001", "{$link->id} 2000 {$key}@x", "{$link->id} 2000 {$link->id}@1", "{$link->id} 2000 @"] as $asked) {
            self::assertStringContainsString('stays at 0', (string) $view->of($asked, $plan, self::knowledge())?->words, $asked);
        }
    }

    public function test_nobody_waits_for_the_strip_of_a_node_that_does_a_thousand_things(): void
    {
        $sketch = self::lamps();
        foreach (range(1, 1_000) as $page) {
            $sketch->control("p{$page}", 'n', "Page {$page}", ControlKind::Widget);
        }
        $plan = $sketch->plan();
        $view = new SlotStripView;
        $key = self::control($plan)->id;
        self::assertNull($view->of("{$plan->links()[0]->id} 60000 {$key}@100", $plan, self::knowledge()));
        self::assertStringContainsString('at last 200', (string) $view->of("{$plan->links()[0]->id} 2000 {$key}@100", $plan, self::knowledge())?->words);
    }

    public function test_without_data_a_board_of_ours_does_what_the_plan_says(): void
    {
        foreach ([[1_500, 0], [0, 1]] as [$silenceMs, $after]) {
            $plan = self::own(Action::Momentary)->change(ThingKind::Output, 'ol', ['settings' => ['silenceMs' => $silenceMs]])->plan();
            $rules = array_map(static fn (Finding $finding): string => $finding->rule(), self::checker()->check($plan)->all());
            self::assertSame($silenceMs === 0, in_array('dmx-loss-holds', $rules, true), 'It is said where it would stay on.');
            self::assertSame([], array_intersect(['silence-unfed', 'silence-too-short'], $rules), 'Slots are said again by themselves.');
            $node = array_values(array_filter($plan->nodes(), static fn (Node $one): bool => $one->name === 'Dimmer'))[0];
            $end = $plan->endpointsOf($node)[0];
            $listener = new Listener(ListenerTables::of($plan, $end, new MessageNumbers($plan, self::knowledge()->media)), 0);
            $machine = new Machine(Tabulation::of($plan, $node, self::knowledge()));
            $state = $machine->start(0);
            $on = [];
            for ($ms = 25; $ms <= 6_000; $ms += 25) {
                // Ten seconds on a desk that holds the slot up, of which two get through.
                $heard = $ms <= 2_000 ? $listener->take(str_repeat("\0", 29)."\xff", $ms) : [];
                $outcome = $machine->step($state, $ms, Clock::UNKNOWN, new Inputs, $heard);
                $state = $outcome->state;
                $on[$ms] = $outcome->outputs[0];
            }
            self::assertSame([1, 1, $after], [$on[2_000], $on[3_000], $on[6_000]], "{$silenceMs} ms");
        }
    }

    private static function control(Plan $plan): Control
    {
        return $plan->controls()[0];
    }
}
