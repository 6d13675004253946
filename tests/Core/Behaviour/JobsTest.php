<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use Rundfunk\Behaviour\Gauge;
use Rundfunk\Behaviour\Said;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Severity;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

/** Whole jobs as people have them, each in a scene that is made up: planned, assigned, nothing found above advice, and run to what is wanted. */
final class JobsTest extends CoreTestCase
{
    private static function board(Sketch $sketch, string $key, string $name, NodeKind $kind = NodeKind::Controller, string $board = '8bit-5v-20io'): Sketch
    {
        return $sketch->node($key, $name, $kind, null, $board)->supply("{$key}-plug", $key, 'plug-5v-1a', 'Plug', null, FeedsAt::Usb);
    }

    /** A board with a relay bank on a supply of its own. */
    private static function relays(Sketch $sketch, string $key, string $name, string $board = '8bit-5v-20io', int $channels = 4): Sketch
    {
        return self::board($sketch, $key, $name, board: $board)->supply("{$key}-coils", $key, 'plug-5v-1a', 'Coil supply')->module("{$key}-relays", $key, "relay-bank-{$channels}-high", 'Relays', "{$key}-coils");
    }

    private static function sound(Sketch $sketch): Plan
    {
        $plan = $sketch->assigned();
        $grave = array_filter(self::checker()->check($plan)->all(), static fn (Finding $finding): bool => $finding->severity !== Severity::Advice);
        self::assertSame([], array_values(array_map(static fn (Finding $finding): string => "{$finding->rule()}: {$finding->title}", $grave)));

        return $plan;
    }

    private static function rig(Sketch $sketch): Rig
    {
        return new Rig(self::sound($sketch), self::knowledge());
    }

    public function test_a_handset_works_a_winch_that_stops_when_it_falls_silent(): void
    {
        $sketch = self::board(self::sketch(), 'hand', 'Hand', NodeKind::Handset)->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio')->module('keys', 'hand', 'button-pad-2', 'Keys');
        // What moves must stand still whenever the network does not work, and has stops of its own.
        $winch = ['hazards' => ['motion'], 'safe' => 'off', 'secondBreak' => 'stops', 'settings' => ['silenceMs' => 500]];
        $rig = self::rig(self::relays($sketch, 'slip', 'Slip')->module('slip-radio', 'slip', 'packet-radio-plain', 'Radio')
            ->link('air', 'Air', 'packet-radio', ['proven' => true])->join('air', 'hand', Role::Sends, 'hand-radio')->join('air', 'slip', Role::Receives, 'slip-radio')
            ->control('in', 'hand', 'In', settings: ['repeatMs' => 150])->control('out', 'hand', 'Out', settings: ['repeatMs' => 150])
            ->output('haul', 'slip', 'Haul', load: 'winch with limit switches', more: [...$winch, 'interlocked' => true])
            ->output('pay', 'slip', 'Pay out', load: 'winch with limit switches', more: [...$winch, 'interlocked' => true, 'neverWithIds' => [$sketch->id('haul')]])
            ->circuit('store', 'Store', ['volts' => 12.0, 'direct' => true, 'fuseA' => 4.0, 'timeLag' => true])
            ->load('winch-in', 'Winch, in', 'haul', 'store', LoadKind::Motor, 20.0)->load('winch-out', 'Winch, out', 'pay', 'store', LoadKind::Motor, 18.0)
            ->part('slip-relays', 'IN1', PartKind::FlybackDiode)->part('slip-relays', 'IN2', PartKind::FlybackDiode)
            ->change(ThingKind::Node, 'slip', ['watchdog' => true])
            ->route('in', Action::Momentary, 'haul')->route('out', Action::Momentary, 'pay'));
        self::assertSame([1, 0], [$rig->put('Hand', 'In', 1, 5_000)->shows('Slip', 'Haul'), $rig->shows('Slip', 'Pay out')]);
        self::assertSame(0, $rig->put('Hand', 'In', 0)->shows('Slip', 'Haul'));
    }

    public function test_a_bought_remote_toggles_a_relay_once_a_press(): void
    {
        $rig = self::rig(self::relays(self::sketch(), 'den', 'Den')->module('eye', 'den', 'infrared-receiver', 'Eye')
            ->node('remote', 'Old remote', NodeKind::Remote, null, null)->link('ir', 'Light', 'infrared')
            ->join('ir', 'remote', Role::Sends)->join('ir', 'den', Role::Receives, 'eye', ['distanceM' => 3])
            ->control('key', 'remote', 'Red', ControlKind::Key)->keyCode('remote', 'Red', 'nec', 0x12, 0x34, control: 'key')
            ->output('lamp', 'den', 'Lamp', load: '12 V lamp')->route('key', Action::Toggle, 'lamp'));
        self::assertSame([1, 0], [$rig->hear('Den', 'NEC 0x12 0x34')->shows('Den', 'Lamp'), $rig->hear('Den', 'NEC 0x12 0x34')->shows('Den', 'Lamp')]);
    }

    public function test_a_text_puts_a_pump_on_and_another_off(): void
    {
        $sketch = self::sketch()->node('spring', 'Spring', NodeKind::Controller, null, '32bit-3v3-26io')
            ->supply('battery', 'spring', 'lead-12v', 'Battery', more: ['fuseA' => 1.0])
            ->supply('five', 'spring', 'buck', '5 V for the board', 'battery', FeedsAt::FiveVolt)
            ->supply('four', 'spring', 'buck', '3.9 V for the modem', 'battery', more: ['volts' => 3.9])
            ->module('modem', 'spring', 'modem-lte-eu', 'Modem', 'four')->module('relays', 'spring', 'relay-bank-1-high', 'Relay', 'five')
            ->node('phone', 'Phone', NodeKind::Phone, null, null)->link('net', 'Net', 'cellular', ['country' => 'GB'])
            ->join('net', 'spring', Role::Both, 'modem', ['baud' => 38400])->join('net', 'phone', Role::Both, null, ['listed' => true])->address('net', 'phone', 0, '+442079460123', true)
            ->output('pump', 'spring', 'Pump', load: '12 V pump')
            ->control('on', 'phone', 'Pump on', ControlKind::Text)->control('off', 'phone', 'Pump off', ControlKind::Text)
            ->route('on', Action::On, 'pump')->route('off', Action::Off, 'pump');
        $rig = self::rig($sketch);
        self::assertSame([1, 0], [$rig->hear('Spring', 'PUMP ON')->shows('Spring', 'Pump'), $rig->hear('Spring', 'PUMP OFF')->shows('Spring', 'Pump')]);
    }

    public function test_a_call_toggles_a_pump_and_a_text_says_how_it_stands(): void
    {
        $sketch = self::sketch()->node('well', 'Well', NodeKind::Controller, null, '32bit-3v3-26io')
            ->supply('battery', 'well', 'lead-12v', 'Battery', more: ['fuseA' => 1.0])
            ->supply('five', 'well', 'buck', '5 V for the board', 'battery', FeedsAt::FiveVolt)
            ->supply('four', 'well', 'buck', '3.9 V for the modem', 'battery', more: ['volts' => 3.9])
            ->module('modem', 'well', 'modem-lte-eu', 'Modem', 'four')->module('relays', 'well', 'relay-bank-1-high', 'Relay', 'five')->module('float', 'well', 'button-pad-1', 'Flow')
            ->node('phone', 'Phone', NodeKind::Phone, null, null)->link('net', 'Net', 'cellular', ['country' => 'GB'])
            ->join('net', 'well', Role::Both, 'modem', ['baud' => 38400])->join('net', 'phone', Role::Both, null, ['listed' => true])->address('net', 'phone', 0, '+442079460123', true)
            ->output('pump', 'well', 'Pump', load: '12 V pump')->control('flow', 'well', 'Flow switch', ControlKind::Switch)
            ->control('ring', 'phone', 'Ring', ControlKind::Call)->route('ring', Action::Pulse, 'pump', 600_000)
            ->output('text', 'phone', 'Pump text', OutputKind::Message, more: ['settings' => ['words' => 'Pump: {value}']])
            ->state('pump', 'pump-is', 'Pump is', 'flow', ['everyS' => 0])->route('pump-is', Action::Follow, 'text');
        $rig = self::rig($sketch)->forget();
        self::assertSame(1, $rig->hear('Well', 'a call')->shows('Well', 'Pump'));
        self::assertSame(['Well → Phone: 1 0'], $rig->told, 'told to run, and nothing flows yet');
        $rig->forget()->put('Well', 'Flow switch', 1);
        self::assertSame(['Well → Phone: 1 1'], $rig->told);
        $rig->forget()->put('Well', 'Flow switch', 0);
        self::assertSame(['Well → Phone: 1 0'], $rig->told, 'it has run dry');
    }

    public function test_a_toy_is_worked_by_the_codes_of_its_own_remote(): void
    {
        $sketch = self::board(self::sketch(), 'perch', 'Perch')->module('tx', 'perch', 'keyed-transmitter', 'Sender')->module('keys', 'perch', 'button-pad-2', 'Keys')
            ->node('boat', 'Toy boat', NodeKind::Fixture, null, null)->link('pond', 'Pond', 'keyed-radio')->join('pond', 'perch', Role::Sends, 'tx')->join('pond', 'boat', Role::Receives)
            ->output('run', 'boat', 'Run', OutputKind::Function)
            ->keyCode('boat', 'Run', 'keyed', null, 0x3C71E1, output: 'run', action: Action::On)->keyCode('boat', 'Stop', 'keyed', null, 0x3C71E2, output: 'run', action: Action::Off)
            ->control('go', 'perch', 'Go')->control('halt', 'perch', 'Halt')->route('go', Action::On, 'run')->route('halt', Action::Off, 'run');
        $rig = self::rig($sketch)->forget()->press('Perch', 'Go')->press('Perch', 'Halt');
        self::assertCount(2, array_unique($rig->told));
        self::assertEqualsCanonicalizing(['0x3C71E1', '0x3C71E2'], array_map(static fn (Said $said): string => preg_match('/0x[0-9A-F]{6}/', $said->says, $code) === 1 ? $code[0] : $said->says, $rig->tables['Perch']->told));
    }

    public function test_a_light_is_worked_over_a_broker_from_a_page_and_from_its_own_switch(): void
    {
        $sketch = self::relays(self::sketch(), 'hall', 'Hall', 'wifi-3v3-26io', 2)->module('wall', 'hall', 'button-pad-1', 'Wall');
        $rig = self::rig($sketch->node('hub', 'Hub', NodeKind::Gateway, null, 'computer-40pin')->supply('hub-plug', 'hub', 'plug-5v-3a', 'Plug', null, FeedsAt::Usb)
            ->link('house', 'House', 'ip', ['ssid' => 'mill'])->join('house', 'hub', Role::Both, null, ['broker' => true])->join('house', 'hall', Role::Both)
            ->control('on', 'hub', 'Page on', ControlKind::Widget)->control('off', 'hub', 'Page off', ControlKind::Widget)->control('wall-key', 'hall', 'Wall key')
            ->output('light', 'hall', 'Light', load: '12 V lamp')
            ->route('on', Action::On, 'light')->route('off', Action::Off, 'light')->route('wall-key', Action::Toggle, 'light'));
        self::assertSame(1, $rig->put('Hub', 'Page on', 1)->put('Hub', 'Page on', 0)->shows('Hall', 'Light'));
        self::assertSame(0, $rig->press('Hall', 'Wall key')->shows('Hall', 'Light'));
        self::assertSame(0, $rig->put('Hub', 'Page off', 1)->shows('Hall', 'Light'));
    }

    public function test_a_toy_train_runs_by_sequence_and_brakes_when_it_is_stopped(): void
    {
        $sketch = self::board(self::sketch(), 'yard', 'Yard')->supply('yard-motor', 'yard', 'plug-5v-1a', 'Motor supply')
            ->module('bridge', 'yard', 'motor-bridge-low-2', 'Bridge', 'yard-motor')->module('keys', 'yard', 'button-pad-2', 'Keys')
            ->output('train', 'yard', 'Train', OutputKind::Motor)->output('round', 'yard', 'Round', OutputKind::Sequence)
            ->step('round', 's1', 'Depart')->step('round', 's2', 'Line', 2_000)->step('round', 's3', 'Arrive', 6_000)->step('round', 's4', 'Wait', 1_000)->step('round', 'brake', 'Brake', when: 'stopped')
            ->route('s1', Action::Set, 'train', value: 40)->route('s2', Action::Set, 'train', value: 80)->route('s3', Action::Set, 'train', value: 30)->route('s4', Action::Set, 'train', value: 0)->route('brake', Action::Set, 'train', value: 0)
            ->control('go', 'yard', 'Go')->control('halt', 'yard', 'Halt')->route('go', Action::On, 'round')->route('halt', Action::Off, 'round');
        $rig = self::rig($sketch);
        $speeds = [$rig->press('Yard', 'Go')->shows('Yard', 'Train'), $rig->pass(2_500)->shows('Yard', 'Train'), $rig->pass(6_000)->shows('Yard', 'Train'), $rig->pass(1_000)->shows('Yard', 'Train')];
        self::assertSame([40, 80, 30, 0], $speeds);
        self::assertSame(0, $rig->press('Yard', 'Go')->pass(1_000)->press('Yard', 'Halt')->shows('Yard', 'Train'));
    }

    public function test_one_stick_drives_two_vehicles_that_are_not_alike(): void
    {
        $sketch = self::board(self::sketch(), 'box', 'Box', NodeKind::Handset)->module('box-radio', 'box', 'packet-radio-plain', 'Radio')->module('stick', 'box', 'joystick', 'Stick')
            ->link('air', 'Air', 'packet-radio')->join('air', 'box', Role::Sends, 'box-radio')
            ->control('drive', 'box', 'Drive', ControlKind::Axis, settings: ['rawLowest' => 0, 'rawCentre' => 512, 'rawHighest' => 1_023, 'deadBand' => 0, 'repeatMs' => 100]);
        foreach (['crawler' => [], 'racer' => ['reverse' => true, 'endHigh' => 50, 'endLow' => 50]] as $key => $fit) {
            self::board($sketch, $key, ucfirst($key))->module("{$key}-radio", $key, 'packet-radio-plain', 'Radio')->supply("{$key}-motor", $key, 'plug-5v-1a', 'Motor supply')->module("{$key}-bridge", $key, 'motor-bridge-low-2', 'Bridge', "{$key}-motor")
                ->join('air', $key, Role::Receives, "{$key}-radio")->output("{$key}-m", $key, 'Motor', OutputKind::Motor, more: ['settings' => ['silenceMs' => 400]])->route('drive', Action::Set, "{$key}-m", more: $fit);
        }
        $rig = self::rig($sketch);
        self::assertSame([100, -50], [$rig->put('Box', 'Drive', 1_023)->shows('Crawler', 'Motor'), $rig->shows('Racer', 'Motor')]);
        self::assertSame([-100, 50], [$rig->put('Box', 'Drive', 0)->shows('Crawler', 'Motor'), $rig->shows('Racer', 'Motor')]);
        self::assertSame([0, 0], [$rig->put('Box', 'Drive', 512)->shows('Crawler', 'Motor'), $rig->shows('Racer', 'Motor')]);
    }

    public function test_a_wireless_pad_turns_a_servo_and_sounds_a_horn(): void
    {
        $sketch = self::board(self::sketch(), 'crane', 'Crane', board: '32bit-3v3-26io')
            ->module('pad', 'crane', 'pad-wireless', 'Pad')
            ->supply('servo-plug', 'crane', 'plug-5v-1a', 'Servo supply')->module('servo', 'crane', 'servo-small', 'Servo', 'servo-plug')
            ->supply('coils', 'crane', 'plug-5v-1a', 'Coil supply')->module('relays', 'crane', 'relay-bank-1-high', 'Relay', 'coils')
            ->control('slew', 'crane', 'Slew', ControlKind::Axis, 'pad', 'Left X', ['deadBand' => 0])->control('sound', 'crane', 'Sound', ControlKind::Button, 'pad', 'Face bottom')
            ->output('jib', 'crane', 'Jib', OutputKind::Servo)->output('horn', 'crane', 'Horn', load: '12 V horn')
            ->route('slew', Action::Set, 'jib')->route('sound', Action::Momentary, 'horn');
        $rig = self::rig($sketch);
        self::assertSame([0, 90, -90, 0], [$rig->shows('Crane', 'Jib'), $rig->put('Crane', 'Slew', 255)->shows('Crane', 'Jib'), $rig->put('Crane', 'Slew', 0)->shows('Crane', 'Jib'), $rig->put('Crane', 'Slew', 128)->shows('Crane', 'Jib')]);
        self::assertSame([1, 0], [$rig->put('Crane', 'Sound', 1)->shows('Crane', 'Horn'), $rig->put('Crane', 'Sound', 0)->shows('Crane', 'Horn')]);
    }

    public function test_four_keys_work_two_boards_at_once_by_one_message_each(): void
    {
        $sketch = self::board(self::sketch(), 'hand', 'Hand', NodeKind::Handset)->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio')->module('keys', 'hand', 'button-pad-4', 'Keys')
            ->link('air', 'Air', 'packet-radio', ['acknowledge' => false])->join('air', 'hand', Role::Sends, 'hand-radio');
        foreach (['left' => 'Left', 'right' => 'Right'] as $key => $name) {
            self::relays($sketch, $key, $name)->module("{$key}-radio", $key, 'packet-radio-plain', 'Radio')->join('air', $key, Role::Receives, "{$key}-radio", [], ['broadcast'])->address('air', $key, 1, 'C2F19A4701', true)
                ->output("{$key}-lamp", $key, 'Lamp', load: '12 V lamp')->output("{$key}-fan", $key, 'Fan', load: '12 V fan');
        }
        foreach (['Lamps on' => [Action::On, 'lamp'], 'Lamps off' => [Action::Off, 'lamp'], 'Fans on' => [Action::On, 'fan'], 'Fans off' => [Action::Off, 'fan']] as $name => [$action, $what]) {
            $sketch->control($name, 'hand', $name)->route($name, $action, "left-{$what}")->route($name, $action, "right-{$what}");
        }
        $rig = self::rig($sketch);
        $all = static fn (): array => [$rig->shows('Left', 'Lamp'), $rig->shows('Right', 'Lamp'), $rig->shows('Left', 'Fan'), $rig->shows('Right', 'Fan')];
        $rig->press('Hand', 'Lamps on');
        self::assertSame([1, 1, 0, 0], $all());
        self::assertCount(1, $rig->told);
        $rig->press('Hand', 'Fans on')->press('Hand', 'Lamps off');
        self::assertSame([0, 0, 1, 1], $all());
    }

    public function test_a_board_with_a_network_of_its_own_holds_a_temperature(): void
    {
        $sketch = self::relays(self::sketch(), 'still', 'Still', 'wifi-3v3-26io', 1)->module('warmth', 'still', 'sensor-temperature', 'Warmth')
            ->link('own', 'Own network', 'ip', ['network' => 'own', 'ssid' => 'still'])->join('own', 'still', Role::Both)
            ->control('cold', 'still', 'Cold', ControlKind::Reading, settings: ['unit' => '°C', 'threshold' => 40.0, 'beyond' => 'below', 'intervalS' => 10])
            ->control('warm', 'still', 'Warm', ControlKind::Reading, settings: ['unit' => '°C', 'threshold' => 44.0, 'intervalS' => 10, 'onFailure' => 'on'])
            ->control('stop', 'still', 'Page: stop', ControlKind::Widget)->control('go', 'still', 'Page: go', ControlKind::Widget)
            ->output('heat', 'still', 'Heat', load: '100 W mat with its own thermostat', more: ['hazards' => ['heat'], 'precedence' => 'off-first', 'safe' => 'off', 'secondBreak' => 'thermostat'])
            ->circuit('house', 'House', ['fuseA' => 10.0, 'timeLag' => true])->load('mat', 'Mat', 'heat', 'house', LoadKind::Resistive, 100.0, ['fuseA' => 1.0])
            ->change(ThingKind::Node, 'still', ['watchdog' => true])
            ->route('cold', Action::On, 'heat')->route('warm', Action::Off, 'heat')->route('stop', Action::Off, 'heat')->route('go', Action::On, 'heat');
        $rig = self::rig($sketch);
        $at = static fn (int $reading): int => $rig->put('Still', 'Cold', $reading, 10)->put('Still', 'Warm', $reading)->shows('Still', 'Heat');
        self::assertSame([1, 1, 0, 1, 0], array_map($at, [39_000, 42_000, 44_500, 39_900, Gauge::FAILED]), 'a sensor that fails puts it off');
        // Stopped by hand it stays off, however cold it is, until a hand lets it go on.
        self::assertSame([1, 0, 0], [$at(39_000), $rig->put('Still', 'Page: stop', 1)->put('Still', 'Page: stop', 0)->shows('Still', 'Heat'), $at(30_000)]);
        self::assertSame(1, $rig->put('Still', 'Page: go', 1)->shows('Still', 'Heat'));
    }

    public function test_commands_typed_at_a_terminal_work_a_lamp(): void
    {
        $says = static fn (string $name, string $word): array => ['name' => $name, 'kind' => 'says', 'word' => $word];
        $rig = self::rig(self::relays(self::sketch(), 'bench', 'Bench', '8bit-5v-70io', 2)->module('wires', 'bench', 'serial-wire', 'Terminal')
            ->protocol('typed', 'Typed commands', ['form' => 'words', 'logicV' => 5.0, 'items' => [$says('on', 'D1 ON'), $says('off', 'D1 OFF'), $says('eleven', 'D11 ON')]])
            ->node('terminal', 'Terminal', NodeKind::Remote, null, null, ['protocolId' => self::sketch()->id('typed')])
            ->link('line', 'Line', 'serial', ['lengthM' => 1.0])->join('line', 'bench', Role::Both, 'wires')->join('line', 'terminal', Role::Both)
            ->output('lamp', 'bench', 'Lamp', load: '12 V lamp')->output('fan', 'bench', 'Fan', load: '12 V fan')
            ->control('on', 'terminal', 'On', ControlKind::Key)->control('off', 'terminal', 'Off', ControlKind::Key)->control('eleven', 'terminal', 'Eleven', ControlKind::Key)
            ->route('on', Action::On, 'lamp')->route('off', Action::Off, 'lamp')->route('eleven', Action::On, 'fan'));
        self::assertSame([1, 0], [$rig->hear('Bench', 'on')->shows('Bench', 'Lamp'), $rig->shows('Bench', 'Fan')]);
        self::assertSame([1, 1], [$rig->hear('Bench', 'eleven')->shows('Bench', 'Lamp'), $rig->shows('Bench', 'Fan')], 'D1 is not D11.');
        self::assertSame(0, $rig->hear('Bench', 'off')->shows('Bench', 'Lamp'));
    }

    public function test_a_drive_from_a_shop_goes_where_a_key_says_and_lights_a_lamp_when_it_is_there(): void
    {
        $sketch = self::board(self::sketch(), 'desk', 'Desk', board: '8bit-5v-70io')->module('pair', 'desk', 'rs485-5v', 'Pair')->module('keys', 'desk', 'button-pad-2', 'Keys')->module('led', 'desk', 'indicator-lamp', 'Lamp')
            ->protocol('drive', 'Drive', [
                'parts' => [['is' => 'id'], ['is' => 'function'], ['is' => 'values'], ['is' => 'check']], 'check' => 'crc-16/modbus', 'checkLowFirst' => true,
                'items' => [
                    ['name' => 'Go', 'kind' => 'does', 'code' => 1, 'answered' => true, 'answerCode' => 0x81, 'takesMs' => 9_000, 'done' => 'polled', 'doneBy' => 'Moving', 'sends' => [['given' => true, 'bits' => 16, 'lowest' => 0, 'highest' => 1_000]]],
                    ['name' => 'Moving', 'kind' => 'answers', 'code' => 2, 'answerCode' => 0x82, 'answers' => [['given' => true]]],
                ],
            ])
            ->node('slide', 'Slide', NodeKind::Fixture, null, null, ['protocolId' => self::sketch()->id('drive')])
            ->link('line', 'Line', 'serial', ['topology' => 'polled', 'levels' => 'rs-485', 'lengthM' => 6.0])->join('line', 'desk', Role::Both, 'pair')->join('line', 'slide', Role::Both)
            ->output('place', 'slide', 'Go', OutputKind::Function, more: ['settings' => ['lowest' => 0, 'highest' => 1_000]])->output('there', 'desk', 'There', OutputKind::Lamp)
            ->control('far', 'desk', 'Far')->control('near', 'desk', 'Near')->route('far', Action::Set, 'place', value: 1_000)->route('near', Action::Set, 'place', value: 0)
            ->control('arrived', 'slide', 'Go', ControlKind::Reading, settings: ['threshold' => 0.5, 'hysteresis' => 0.2])->route('arrived', Action::Follow, 'there');
        $rig = self::rig($sketch)->forget()->press('Desk', 'Far')->press('Desk', 'Near');
        self::assertEqualsCanonicalizing(['Go: 01 01 03 E8', 'Go: 01 01 00 00'], array_map(static fn (Said $said): string => substr($said->says, 0, 15), $rig->tables['Desk']->told));
        self::assertCount(2, array_unique($rig->told));
        self::assertSame([1, 0], [$rig->put('Desk', 'Go', 1_000)->shows('Desk', 'There'), $rig->put('Desk', 'Go', 0)->shows('Desk', 'There')]);
    }

    public function test_of_three_masters_the_switch_that_holds_wins(): void
    {
        $sketch = self::relays(self::sketch(), 'barn', 'Barn', 'wifi-3v3-26io', 1)->module('wall', 'barn', 'button-pad-2', 'Wall')->module('clock', 'barn', 'clock-i2c', 'Clock')
            ->control('wall-switch', 'barn', 'Wall switch', ControlKind::Switch)->control('push', 'barn', 'Push key')->control('late', 'barn', 'Late', ControlKind::Timer, settings: ['at' => '23:00'])
            ->output('light', 'barn', 'Light', load: '12 V lamp', more: ['precedence' => 'holder-first'])
            ->route('wall-switch', Action::Follow, 'light')->route('push', Action::Toggle, 'light')->route('late', Action::Off, 'light');
        $rig = self::rig($sketch);
        self::assertSame([1, 0], [$rig->press('Barn', 'Push key')->shows('Barn', 'Light'), $rig->press('Barn', 'Push key')->shows('Barn', 'Light')]);
        $rig->put('Barn', 'Wall switch', 1);
        $rig->minute = 1_379;
        $rig->pass(10);
        $rig->minute = 1_380;
        self::assertSame([1, 1], [$rig->pass(10)->shows('Barn', 'Light'), $rig->press('Barn', 'Push key')->shows('Barn', 'Light')]);
        self::assertSame(0, $rig->put('Barn', 'Wall switch', 0)->shows('Barn', 'Light'));
    }
}
