<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Infrared;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** A row a case: a room with a remote, an appliance and a board of ours, and what each rule of infrared must say of it. */
final class InfraredRulesTest extends CoreTestCase
{
    /** @return iterable<string, array{string, Closure(): Sketch, list<string>}> rule, plan, titles */
    public static function cases(): iterable
    {
        $room = static fn (array $emitter = [], array $receiver = [], array $link = [], string $part = 'infrared-emitter'): Sketch => self::sketch()
            ->link('room', 'Room', 'infrared', $link)
            ->node('send', 'Sender', NodeKind::Controller, null, '8bit-5v-20io')
            ->module('led', 'send', $part, 'LED', FedFrom::Board5V)
            ->module('keys', 'send', 'button-pad-4', 'Keys')
            ->node('hear', 'Hearer', NodeKind::Controller, null, '8bit-5v-20io')
            ->module('eye', 'hear', 'infrared-receiver', 'Eye')
            ->module('relays', 'hear', 'relay-bank-2-low', 'Relays', FedFrom::Own)
            ->output('lamp', 'hear', 'Lamp')
            ->node('remote', 'Remote', NodeKind::Remote, null, null)
            ->node('fan', 'Fan', NodeKind::Fixture, null, null)
            ->output('blow', 'fan', 'Blow', OutputKind::Function)
            ->join('room', 'send', Role::Sends, 'led', $emitter)
            ->join('room', 'hear', Role::Receives, 'eye', $receiver)
            ->join('room', 'remote', Role::Sends)
            ->join('room', 'fan', Role::Receives)
            ->control('key', 'remote', 'Power', ControlKind::Key)
            ->control('other', 'remote', 'Mute', ControlKind::Key)
            ->control('push', 'send', 'Push');
        $keyed = static fn (Sketch $s, string $protocol = 'nec', Action $action = Action::On, array $more = []): Sketch => $s
            ->keyCode('remote', 'Power', $protocol, $protocol === 'raw' ? null : 4, $protocol === 'raw' ? null : 8, control: 'key', more: $more)
            ->route('key', $action, 'lamp')
            ->hop("key lamp {$action->value}", 'room', 'remote', 'hear', null);
        $blown = static fn (Sketch $s, string $protocol = 'nec'): Sketch => $s
            ->keyCode('fan', 'Blow', $protocol, 7, 1, output: 'blow', action: Action::On)
            ->route('push', Action::On, 'blow')
            ->hop('push blow on', 'room', 'send', 'fan', null);

        yield 'a learned key' => ['ir-code-unknown', static fn () => $keyed($room()), []];
        yield 'a key that was never learned' => ['ir-code-unknown', static fn () => $room()->route('key', Action::On, 'lamp')->hop('key lamp on', 'room', 'remote', 'hear', null), ['The code of Power has not been learned']];
        yield 'a function that is known' => ['ir-code-unknown', static fn () => $blown($room()), []];
        yield 'a function that is known for another action' => ['ir-code-unknown', static fn () => $blown($room())->route('push', Action::Off, 'blow')->hop('push blow off', 'room', 'send', 'fan', null), ['No code is known that makes Blow do "off"']];

        yield 'two keys, two codes' => ['ir-keys-alike', static fn () => $keyed($room())->keyCode('remote', 'Mute', 'nec', 4, 9, control: 'other'), []];
        yield 'two keys, one code' => ['ir-keys-alike', static fn () => $keyed($room())->keyCode('remote', 'Mute', 'nec', 4, 8, control: 'other'), ['Power and Mute of Remote send the same code']];
        yield 'one code of two protocols' => ['ir-keys-alike', static fn () => $keyed($room())->keyCode('remote', 'Mute', 'rc5', 4, 8, control: 'other'), []];

        yield 'one key learned twice alike' => ['ir-key-two-codes', static fn () => $keyed($room())->keyCode('remote', 'Again', 'nec', 4, 8, control: 'key'), []];
        yield 'one key learned twice otherwise' => ['ir-key-two-codes', static fn () => $keyed($room())->keyCode('remote', 'Again', 'nec', 4, 10, control: 'key'), ['Power has two codes']];

        $speeds = static fn (Sketch $s, array $commands, array $more = []): Sketch => array_reduce(array_keys($commands), static fn (Sketch $s, int $value): Sketch => $s->keyCode('fan', "Speed {$value}", 'nec', 7, $commands[$value], output: 'speed', action: Action::Set, more: ['value' => $value]), $s->output('speed', 'fan', 'Speed', OutputKind::Function, more: ['settings' => ['lowest' => 0, 'highest' => 3, ...$more]]));
        yield 'every speed with a code' => ['ir-set-incomplete', static fn () => $speeds($room(), [8, 9, 10, 11]), []];
        yield 'a speed without' => ['ir-set-incomplete', static fn () => $speeds($room(), [0 => 8, 1 => 9, 3 => 11]), ['Speed of Fan has no code for 2']];
        yield 'no speed with one: they are not learned yet' => ['ir-set-incomplete', static fn () => $speeds($room(), []), []];
        yield 'many speeds without' => ['ir-set-incomplete', static fn () => $speeds($room(), [0 => 8], ['highest' => 9]), ['Speed of Fan has no code for 1, 2, 3, 4, 5, 6 and 3 more']];
        yield 'two functions, two codes' => ['ir-functions-alike', static fn () => $speeds($blown($room()), [8, 9, 10, 11]), []];
        yield 'two speeds, one code' => ['ir-functions-alike', static fn () => $speeds($room(), [8, 9, 9, 11]), ['Speed 1 and Speed 2 of Fan are one code']];
        yield 'one function learned twice alike' => ['ir-functions-alike', static fn () => $blown($room())->keyCode('fan', 'Blow again', 'nec', 7, 1, output: 'blow', action: Action::On), []];

        $twin = static fn (Sketch $s, int $command): Sketch => $blown($s)->node('twin', 'Twin', NodeKind::Fixture, null, null)->output('twin-blow', 'twin', 'Blow', OutputKind::Function)->join('room', 'twin', Role::Receives)->keyCode('twin', 'Blow', 'nec', 7, $command, output: 'twin-blow', action: Action::On);
        yield 'appliances with codes of their own' => ['ir-heard-by-two', static fn () => $twin($room(), 2), []];
        yield 'appliances of one kind' => ['ir-heard-by-two', static fn () => $twin($room(), 1), ['Fan and Twin obey the same code']];

        yield 'two sets on one channel' => [
            'ir-heard-by-two',
            static fn () => $twin($room(), 1)->keyCode('fan', 'Stop', 'nec', 7, 5, output: 'blow', action: Action::Off)->keyCode('twin', 'Stop', 'nec', 7, 5, output: 'twin-blow', action: Action::Off),
            ['Fan and Twin obey the same 2 codes'],
        ];

        $raw = ['timings' => '300 900 1500 400 700 2500 1100 300 2000'];
        yield 'a known protocol' => ['ir-raw-only', static fn () => $keyed($room()), []];
        yield 'timings alone' => ['ir-raw-only', static fn () => $keyed($room(), 'raw', Action::On, $raw), ['Power is known by its timings alone']];
        yield 'timings alone, for two lamps' => ['ir-raw-only', static fn () => $keyed($room(), 'raw', Action::On, $raw)->output('second', 'hear', 'Second')->route('key', Action::On, 'second')->hop('key second on', 'room', 'remote', 'hear', null), ['Power is known by its timings alone']];
        yield 'quite other timings' => ['ir-raw-too-alike', static fn () => $keyed($room(), 'raw', Action::On, $raw)->keyCode('remote', 'Mute', 'raw', control: 'other', more: ['timings' => '300 900 300 400 700 900 1100 300 2000']), []];
        yield 'timings that are nearly the same' => [
            'ir-raw-too-alike',
            static fn () => $keyed($room(), 'raw', Action::On, $raw)->keyCode('remote', 'Mute', 'raw', control: 'other', more: ['timings' => '400 1200 1150 540 910 2500 800 400 1500']),
            ['Power and Mute are hard to tell apart'],
        ];
        yield 'three of them, of which each two may do different things' => [
            'ir-raw-too-alike',
            static fn () => $keyed($room(), 'raw', Action::On, $raw)->keyCode('remote', 'Mute', 'raw', control: 'other', more: ['timings' => '400 1200 1150 540 910 2500 800 400 1500'])->keyCode('remote', 'Sleep', 'raw', more: ['timings' => '220 660 2000 540 910 3300 800 400 2700']),
            ['Power and Mute are hard to tell apart', 'Mute and Sleep are hard to tell apart', 'Power and Sleep are hard to tell apart'],
        ];

        yield 'a number of a protocol we do not know' => [
            'ir-known-by-name-only',
            static fn () => $room()->keyCode('remote', 'Power', 'named', control: 'key', more: ['number' => '0x1d', 'format' => 'xbox_dvd'])->route('key', Action::On, 'lamp')->hop('key lamp on', 'room', 'remote', 'hear', null),
            ['Power is a number whose protocol is not known here'],
        ];
        yield 'such a number that nothing uses' => ['ir-known-by-name-only', static fn () => $room()->keyCode('remote', 'Power', 'named', control: 'key', more: ['number' => '0x1d']), []];

        yield 'a receiver tuned right' => ['ir-carrier-off', static fn () => $keyed($room()), []];
        yield '40 kHz at a 38 kHz receiver' => ['ir-carrier-off', static fn () => $keyed($room(), 'sirc12'), ['Hearer is tuned to 38 kHz, Power is sent at 40']];
        yield '40 kHz at a 40 kHz receiver' => ['ir-carrier-off', static fn () => $keyed($room([], ['carrierKhz' => 40]), 'sirc12'), []];
        yield '36 kHz at a 56 kHz receiver' => ['ir-carrier-off', static fn () => $keyed($room([], ['carrierKhz' => 56]), 'rc5'), ['Hearer is tuned to 56 kHz, Power is sent at 36']];

        yield '38 kHz heard at 40, which a 38 kHz receiver mends' => ['ir-carrier-off', static fn () => $keyed($room([], ['carrierKhz' => 40])), ['Hearer is tuned to 40 kHz, Power is sent at 38']];

        yield 'a held key that says so' => ['ir-held-key-flips', static fn () => $keyed($room(), 'nec', Action::Toggle), []];
        yield 'a held key with a toggle bit' => ['ir-held-key-flips', static fn () => $keyed($room(), 'rc6', Action::Toggle), []];
        yield 'a held key that sends the same again' => ['ir-held-key-flips', static fn () => $keyed($room(), 'sirc12', Action::Toggle), ['Holding Power flips Lamp again and again']];
        yield 'such a key that only switches on' => ['ir-held-key-flips', static fn () => $keyed($room(), 'sirc12', Action::On), []];

        yield 'an emitter on a transistor' => ['ir-led-over-pin', static fn () => $room(), []];
        yield 'an emitter at 100 mA on a pin' => ['ir-led-over-pin', static fn () => $room([], [], [], 'infrared-emitter-pin'), ['The emitter of Sender asks 93.6 mA of a pin good for 20']];
        yield 'an emitter at 15 mA on a pin' => ['ir-led-over-pin', static fn () => $room(['currentMa' => 15], [], [], 'infrared-emitter-pin'), []];

        yield 'three in series at 5 V' => ['ir-led-starved', static fn () => $room(['leds' => 3]), []];
        yield 'four in series at 5 V' => ['ir-led-starved', static fn () => $room(['leds' => 4]), ['The supply of Sender does not light its emitter']];

        $fed = static fn (FedFrom|string $supply, float $says, string $class = 'infrared-emitter') => self::sketch()->link('f', 'Light', 'infrared')->node('s', 'Sender', NodeKind::Controller, null, 'wifi-3v3-11io')
            ->supply('other', 's', 'other', 'Something')->module('e', 's', $class, 'Eye', $supply)->join('f', 's', Role::Sends, 'e', ['supplyV' => $says]);
        yield 'a resistor for what the emitter gets' => ['ir-supply-differs', static fn () => $fed(FedFrom::Board5V, 5), []];
        yield 'a resistor for five volts on three' => ['ir-supply-differs', static fn () => $fed(FedFrom::Board3V3, 5), ["The resistor of Sender's emitter is for 5 V, and it gets 3.3"]];
        yield 'a resistor for three volts on five' => ['ir-supply-differs', static fn () => $fed(FedFrom::Board5V, 3.3), ["The resistor of Sender's emitter is for 3.3 V, and it gets 5"]];
        yield 'an emitter on a pin of three volts' => ['ir-supply-differs', static fn () => $fed('other', 5, 'infrared-emitter-pin'), ["The resistor of Sender's emitter is for 5 V, and it gets 3.3"]];
        yield 'a supply of unknown voltage' => ['ir-supply-differs', static fn () => $fed('other', 5), []];

        // E13: a fifth of the current is a fifth of the light, and reaches √5 times less far: 5.48 m.
        yield 'six metres with 20 mA' => ['ir-out-of-reach', static fn () => $room(['distanceM' => 6, 'currentMa' => 20]), ['Sender reaches 5.48 m and must reach 6']];
        yield 'five metres with 20 mA' => ['ir-out-of-reach', static fn () => $room(['distanceM' => 5, 'currentMa' => 20]), []];

        // 60 mW/sr and 0.4 mW/m²: 12.2 m, in the sun half of it.
        yield 'twelve metres' => ['ir-out-of-reach', static fn () => $room(['distanceM' => 12]), []];
        yield 'thirteen metres' => ['ir-out-of-reach', static fn () => $room(['distanceM' => 13]), ['Sender reaches 12.2 m and must reach 13']];
        yield 'twelve metres in the sun' => ['ir-out-of-reach', static fn () => $room(['distanceM' => 12], [], ['sunlit' => true]), ['Sender reaches 6.12 m and must reach 12']];
        yield 'a receiver that is hard of hearing' => ['ir-out-of-reach', static fn () => $room(['distanceM' => 12], ['thresholdUwM2' => 900]), ['Sender reaches 8.16 m and must reach 12']];

        yield 'NEC every 108 ms' => ['ir-interval-too-short', static fn () => $blown($room(['intervalMs' => 108])), []];
        yield 'NEC every 100 ms' => ['ir-interval-too-short', static fn () => $blown($room(['intervalMs' => 100])), ['Sender sends every 100 ms what takes 108']];
        yield 'SIRC every 45 ms' => ['ir-interval-too-short', static fn () => $blown($room(['intervalMs' => 45]), 'sirc12'), []];

        yield 'one sender in the room' => ['ir-emitters-together', static fn () => $room(), []];
        yield 'two senders in the room' => [
            'ir-emitters-together',
            static fn () => $room()->node('two', 'Second', NodeKind::Controller, null, '8bit-5v-20io')->module('two-led', 'two', 'infrared-emitter', 'LED')->join('room', 'two', Role::Sends, 'two-led'),
            ['Sender and Second both send in Room'],
        ];
    }

    /**
     * @param  Closure(): Sketch  $sketch
     * @param  list<string>  $titles
     */
    #[DataProvider('cases')]
    public function test_the_rule_finds_this_and_no_more(string $rule, Closure $sketch, array $titles): void
    {
        self::assertSame($titles, array_map(static fn (Finding $finding): string => $finding->title, self::found($sketch()->plan(), $rule)));
    }

    public function test_no_receiver_is_offered_for_a_carrier_that_none_is_made_for(): void
    {
        $plan = static fn (int $carrierHz): Plan => self::sketch()->link('room', 'Room', 'infrared')
            ->node('hearer', 'Hearer', NodeKind::Controller, null, '8bit-5v-20io')->module('eye', 'hearer', 'infrared-receiver', 'Eye')->output('lamp', 'hearer', 'Lamp', OutputKind::Lamp)
            ->node('remote', 'Remote', NodeKind::Remote, null, null)->control('key', 'remote', 'Power', ControlKind::Key)
            ->keyCode('remote', 'Power', 'raw', control: 'key', more: ['timings' => '9000 4500 560 560 560', 'carrierHz' => $carrierHz])
            ->join('room', 'hearer', Role::Receives, 'eye')->join('room', 'remote', Role::Sends)
            ->route('key', Action::On, 'lamp')->hop('key lamp on', 'room', 'remote', 'hearer', null)->plan();
        self::assertSame('Fit a 36 kHz receiver', self::found($plan(36_000), 'ir-carrier-off')[0]->fix?->label);
        [$finding] = self::found($plan(10_100), 'ir-carrier-off');
        self::assertNull($finding->fix);
        self::assertStringContainsString('No usual receiver is near it', $finding->remedy);
    }

    public function test_a_sender_cannot_hear_and_a_bought_remote_needs_no_part(): void
    {
        $plan = self::sketch()->link('room', 'Room', 'infrared')
            ->node('send', 'Sender', NodeKind::Controller, null, '8bit-5v-20io')->module('led', 'send', 'infrared-emitter', 'LED')
            ->node('remote', 'Remote', NodeKind::Remote, null, null)
            ->join('room', 'send', Role::Receives, 'led')->join('room', 'remote', Role::Sends)->plan();
        self::assertSame(['LED of Sender only sends'], array_map(static fn (Finding $one): string => $one->title, self::found($plan, 'endpoint-without-module')));
        self::assertSame([], self::found($plan, 'node-without-board'));
    }

    public function test_assign_leaves_room_for_the_longest_frame(): void
    {
        $plan = self::sketch()->link('room', 'Room', 'infrared')
            ->node('send', 'Sender', NodeKind::Controller, null, '8bit-5v-20io')->module('led', 'send', 'infrared-both', 'LED')->module('keys', 'send', 'button-pad-4', 'Keys')
            ->node('fan', 'Fan', NodeKind::Fixture, null, null)->output('blow', 'fan', 'Blow', OutputKind::Function)
            ->join('room', 'send', Role::Both)->join('room', 'fan', Role::Receives)
            ->keyCode('fan', 'Blow', 'rc5', 7, 1, output: 'blow', action: Action::On)
            ->control('push', 'send', 'Push')->route('push', Action::On, 'blow')->assigned();
        $end = $plan->endpoints()[0];
        self::assertSame(114, $end->settings['intervalMs']);
        self::assertNotNull($end->moduleId);
        self::assertCount(1, $plan->hops());
    }

    public function test_a_way_ends_at_what_was_bought_and_does_not_lead_through_it(): void
    {
        $plan = self::sketch()
            ->link('a', 'A', 'infrared')->link('b', 'B', 'infrared')
            ->node('one', 'One', NodeKind::Controller, null, '8bit-5v-20io')->node('fan', 'Fan', NodeKind::Fixture, null, null)->node('two', 'Two', NodeKind::Controller, null, '8bit-5v-20io')
            ->join('a', 'one', Role::Both)->join('a', 'fan', Role::Both)->join('b', 'fan', Role::Both)->join('b', 'two', Role::Both)
            ->control('push', 'one', 'Push')->output('lamp', 'two', 'Lamp')->route('push', Action::On, 'lamp')->plan();
        self::assertNull((new \Rundfunk\Routes\Paths($plan))->propose($plan->routes()[0]));
    }
}
