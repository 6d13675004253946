<?php

declare(strict_types=1);

namespace Tests\Core\Medium\PacketRadio;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Assign\Proposal;
use Rundfunk\Behaviour\Heard;
use Rundfunk\Behaviour\Tabulation;
use Rundfunk\Behaviour\Tell;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\DerivedId;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** A row a case: how the air is set up, and what each rule of packet radio must say of it. */
final class PacketRulesTest extends CoreTestCase
{
    /** @return iterable<string, array{string, Closure(): Sketch, list<string>}> rule, plan, titles */
    public static function cases(): iterable
    {
        $second = static fn (Sketch $s, array $settings = []): Sketch => $s
            ->node('hand2', 'Second', NodeKind::Handset, null, '8bit-5v-20io')->module('hand2-radio', 'hand2', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->join('l', 'hand2', Role::Sends, 'hand2-radio', $settings);
        $other = static fn (Sketch $s, array $deliberate = []): Sketch => $s
            ->node('board2', 'Twin', NodeKind::Controller, null, '8bit-5v-20io')->module('board2-radio', 'board2', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->join('l', 'board2', Role::Receives, 'board2-radio', [], $deliberate);

        yield 'ends agree' => ['packet-ends-disagree', static fn (): Sketch => self::air([], ['rateKbps' => 250]), []];
        foreach (['channel' => [76, 'channel'], 'rateKbps' => [1000, 'data rate'], 'addressBytes' => [3, 'address width'], 'payloadBytes' => [16, 'payload length'], 'crcBytes' => [1, 'CRC'], 'acknowledge' => [false, 'acknowledge']] as $setting => [$value, $words]) {
            yield "ends disagree on {$setting}" => [
                'packet-ends-disagree',
                static fn (): Sketch => self::air([], [], [$setting => $value]),
                ["Two ends disagree on {$words}"],
            ];
        }

        $opens = static fn (array $link, array $hazards, Action $action = Action::Pulse): Sketch => self::air($link)->control('key', 'hand', 'Key')->output('gate', 'board', 'Gate', more: ['hazards' => $hazards])
            ->route('key', $action, 'gate', $action === Action::Pulse ? 1_000 : null)->hop("key gate {$action->value}", 'l', 'hand', 'board', 1);
        yield 'a gate that anybody can open' => ['packet-unproved', static fn (): Sketch => $opens([], ['access']), ['Anybody with such a transceiver can work Gate']];
        yield 'a gate whose opener proves itself' => ['packet-unproved', static fn (): Sketch => $opens(['proven' => true, 'payloadBytes' => 13], ['access']), []];
        yield 'a gate that is only stopped' => ['packet-unproved', static fn (): Sketch => $opens([], ['motion'], Action::Off), []];
        yield 'a lamp' => ['packet-unproved', static fn (): Sketch => $opens([], []), []];
        yield 'no room for the proof' => ['packet-payload-too-short', static fn (): Sketch => self::air(['proven' => true, 'payloadBytes' => 12]), ['A payload of 12 bytes does not hold the frame']];

        yield 'no channel' => [
            'packet-setting-missing',
            static fn (): Sketch => self::air(['channel' => null])->address('l', 'board', 1, 'C2F19A4701'),
            ['Air has no channel yet'],
        ];
        yield 'no address' => [
            'packet-setting-missing',
            static fn (): Sketch => self::air(),
            ['Board has no address on Air yet'],
        ];
        yield 'no retry delay' => [
            'packet-setting-missing',
            static fn (): Sketch => self::air([], ['retryDelayUs' => null])->address('l', 'board', 1, 'C2F19A4701'),
            ['Hand has no retry delay on Air yet'],
        ];
        yield 'no retry delay, none needed' => [
            'packet-setting-missing',
            static fn (): Sketch => self::air(['acknowledge' => false], ['retryDelayUs' => null])->address('l', 'board', 1, 'C2F19A4701'),
            [],
        ];

        foreach ([[0, 250, true], [1, 250, false], [83, 250, false], [84, 250, true], [83, 1000, false], [82, 2000, false], [83, 2000, true], [125, 1000, true]] as [$channel, $rate, $outside]) {
            yield "channel {$channel} at {$rate} kbit/s" => [
                'packet-channel-outside-band',
                static fn (): Sketch => self::air(['channel' => $channel, 'rateKbps' => $rate]),
                $outside ? ["Channel {$channel} lies outside the band"] : [],
            ];
        }

        yield 'two links well apart' => [
            'packet-links-too-close',
            static fn (): Sketch => self::air(['rateKbps' => 1000])->link('m', 'Other', 'packet-radio', ['channel' => 82, 'rateKbps' => 1000]),
            [],
        ];
        yield 'two links one apart at 1 Mbit/s' => [
            'packet-links-too-close',
            static fn (): Sketch => self::air(['rateKbps' => 1000])->link('m', 'Other', 'packet-radio', ['channel' => 81, 'rateKbps' => 1000]),
            ['Air and Other are 1 channel apart'],
        ];
        yield 'two links one apart at 250 kbit/s' => [
            'packet-links-too-close',
            static fn (): Sketch => self::air()->link('m', 'Other', 'packet-radio', ['channel' => 81]),
            [],
        ];
        yield 'two links three apart, one at 2 Mbit/s' => [
            'packet-links-too-close',
            static fn (): Sketch => self::air()->link('m', 'Other', 'packet-radio', ['channel' => 77, 'rateKbps' => 2000]),
            ['Air and Other are 3 channels apart'],
        ];
        yield 'two links on one channel' => [
            'packet-links-too-close',
            static fn (): Sketch => self::air()->link('m', 'Other', 'packet-radio', ['channel' => 80]),
            ['Air and Other share channel 80'],
        ];

        yield 'plain at full power in Europe' => ['packet-power-over-limit', static fn (): Sketch => self::air(), []];
        yield 'check sum and acknowledge' => ['packet-acknowledge-without-crc', static fn (): Sketch => self::air(), []];
        yield 'acknowledge without check sum' => [
            'packet-acknowledge-without-crc',
            static fn (): Sketch => self::air(['crcBytes' => 0]),
            ['Air acknowledges, yet asks for no check sum'],
        ];
        yield 'neither' => [
            'packet-acknowledge-without-crc',
            static fn (): Sketch => self::air(['crcBytes' => 0, 'acknowledge' => false]),
            ['Air has no check sum'],
        ];

        yield 'a payload of five' => ['packet-payload-too-short', static fn (): Sketch => self::air(['payloadBytes' => 5]), []];
        yield 'a payload of four' => [
            'packet-payload-too-short',
            static fn (): Sketch => self::air(['payloadBytes' => 4]),
            ['A payload of 4 bytes does not hold the frame'],
        ];
        yield 'a payload of three without sender' => [
            'packet-payload-too-short',
            static fn (): Sketch => self::air(['payloadBytes' => 3, 'senderId' => false]),
            [],
        ];

        // Sender, sequence; then said and value of each: two sticks of 1 + 8 bits are 18, three bytes.
        yield 'two sticks one after the other' => ['packet-sticks-apart', static fn (): Sketch => self::sticks(2, []), ['Stick 1 and Stick 2 of Hand go to Board one after the other']];
        yield 'one stick' => ['packet-sticks-apart', static fn (): Sketch => self::sticks(1, []), []];
        yield 'two sticks at once' => ['packet-sticks-apart', static fn (): Sketch => self::sticks(2, ['wholeState' => true]), []];
        yield 'more than one frame holds' => ['packet-sticks-apart', static fn (): Sketch => self::sticks(30, []), []];
        yield 'five bytes for two sticks' => ['packet-payload-too-short', static fn (): Sketch => self::sticks(2, ['wholeState' => true, 'payloadBytes' => 5]), []];
        yield 'four' => ['packet-payload-too-short', static fn (): Sketch => self::sticks(2, ['wholeState' => true, 'payloadBytes' => 4]), ['A payload of 4 bytes does not hold the frame']];
        yield 'thirteen with their proof' => ['packet-payload-too-short', static fn (): Sketch => self::sticks(2, ['wholeState' => true, 'proven' => true, 'payloadBytes' => 13]), []];
        yield 'twelve with it' => ['packet-payload-too-short', static fn (): Sketch => self::sticks(2, ['wholeState' => true, 'proven' => true, 'payloadBytes' => 12]), ['A payload of 12 bytes does not hold the frame']];
        yield 'thirty sticks in the longest there is' => ['packet-payload-too-short', static fn (): Sketch => self::sticks(30, ['wholeState' => true, 'payloadBytes' => 32]), ['A payload of 32 bytes does not hold the frame']];
        yield 'all of one thing, acknowledged' => ['packet-state-of-one', static fn (): Sketch => self::sticks(1, ['wholeState' => true]), ['Frames of Air say all, and there is one thing to say']];
        yield 'all of one thing, where nobody says that it came' => ['packet-state-of-one', static fn (): Sketch => self::sticks(1, ['wholeState' => true, 'acknowledge' => false]), []];
        yield 'all of two' => ['packet-state-of-one', static fn (): Sketch => self::sticks(2, ['wholeState' => true]), []];
        // Uploaded in 18 µs, turned in 130, sent in 137 bits at 250 kbit/s, 548: 96 of them every 100 ms are 66.8 %, and one for all is a hundredth of that.
        yield 'ninety-six sticks one after the other' => ['stream-crowds', static fn (): Sketch => self::sticks(96, []), ['Sticks take 66.8 % of Air']];
        yield 'ninety-six at once' => ['stream-crowds', static fn (): Sketch => self::sticks(96, ['wholeState' => true]), []];

        yield 'an address of the right width' => [
            'packet-address-malformed',
            static fn (): Sketch => self::air()->address('l', 'board', 1, 'C2F19A4701'),
            [],
        ];
        yield 'an address of another width' => [
            'packet-address-malformed',
            static fn (): Sketch => self::air()->address('l', 'board', 1, 'C2F19A'),
            ['C2F19A is no 5-byte address'],
        ];
        yield 'an address of no digits' => [
            'packet-address-malformed',
            static fn (): Sketch => self::air()->address('l', 'board', 1, 'hello'),
            ['hello is no 5-byte address'],
        ];

        yield 'a poor address' => [
            'packet-poor-address',
            static fn (): Sketch => self::air()->address('l', 'board', 1, '5555555555'),
            ['55 55 55 55 55 is a poor address'],
        ];
        yield 'a good address' => [
            'packet-poor-address',
            static fn (): Sketch => self::air()->address('l', 'board', 1, 'C2F19A4701'),
            [],
        ];

        yield 'two bits apart' => [
            'packet-addresses-too-alike',
            static fn (): Sketch => $other(self::air())
                ->address('l', 'board', 1, 'C2F19A4701')
                ->address('l', 'board2', 1, 'C2F19A4702'),
            [],
        ];
        yield 'one bit apart' => [
            'packet-addresses-too-alike',
            static fn (): Sketch => $other(self::air())
                ->address('l', 'board', 1, 'C2F19A4701')
                ->address('l', 'board2', 1, 'C2F19A4703'),
            ['Board and Twin differ in one address bit'],
        ];
        yield 'one bit apart, digits alone' => [
            'packet-addresses-too-alike',
            static fn (): Sketch => $other(self::air())
                ->address('l', 'board', 1, '1234567801')
                ->address('l', 'board2', 1, '1234567800'),
            ['Twin and Board differ in one address bit'],
        ];

        yield 'an address of its own' => [
            'packet-shared-address',
            static fn (): Sketch => $other(self::air())
                ->address('l', 'board', 1, 'C2F19A4701')
                ->address('l', 'board2', 1, 'C2F19A4702'),
            [],
        ];
        yield 'shared, acknowledged' => [
            'packet-shared-address',
            static fn (): Sketch => $other(self::air())
                ->address('l', 'board', 1, 'C2F19A4701')
                ->address('l', 'board2', 1, 'C2F19A4701'),
            ['Board and Twin answer on one address'],
        ];
        yield 'shared, not acknowledged' => [
            'packet-shared-address',
            static fn (): Sketch => $other(self::air(['acknowledge' => false]))
                ->address('l', 'board', 1, 'C2F19A4701')
                ->address('l', 'board2', 1, 'C2F19A4701'),
            ['Board and Twin listen on one address'],
        ];
        yield 'shared, at two rates' => [
            'packet-shared-address',
            static fn (): Sketch => $other(self::air())
                ->address('l', 'board', 1, 'C2F19A4701')
                ->link('m', 'Quick', 'packet-radio', ['channel' => 80, 'rateKbps' => 2000])
                ->join('m', 'board2', Role::Receives)
                ->address('m', 'board2', 1, 'C2F19A4701'),
            [],
        ];
        yield 'one bit apart, at two rates' => [
            'packet-addresses-too-alike',
            static fn (): Sketch => $other(self::air())
                ->address('l', 'board', 1, 'C2F19A4701')
                ->link('m', 'Quick', 'packet-radio', ['channel' => 80, 'rateKbps' => 2000])
                ->join('m', 'board2', Role::Receives)
                ->address('m', 'board2', 1, 'C2F19A4703'),
            [],
        ];
        $back = static fn (int $pipe, array $link = []): Sketch => self::pair()
            ->link('l', 'Air', 'packet-radio', ['channel' => 80, ...$link])
            ->join('l', 'hand', Role::Both, 'hand-radio')->join('l', 'board', Role::Both, 'board-radio')
            ->address('l', 'board', $pipe, 'C2F19A4701')->address('l', 'hand', 1, '3B86D2E917')
            ->output('lamp', 'hand', 'Lamp')->control('k2', 'board', 'Key')
            ->route('k2', Action::On, 'lamp')->hop('k2 lamp on', 'l', 'board', 'hand', 1);
        yield 'pipe 0 alone, of one that sends' => ['packet-only-pipe-0', static fn (): Sketch => $back(0), ['Board listens with the ear that it sends with']];
        yield 'pipe 1, of one that sends' => ['packet-only-pipe-0', static fn (): Sketch => $back(1), []];
        yield 'pipe 0 alone, nothing acknowledged' => ['packet-only-pipe-0', static fn (): Sketch => $back(0, ['acknowledge' => false]), []];
        yield 'pipe 0 alone, of one that only listens' => ['packet-only-pipe-0', static fn (): Sketch => self::air()->address('l', 'board', 0, 'C2F19A4701'), []];
        foreach (['an amplified receiver that acknowledges' => [true, ['Board sends with more than 10 dBm']], 'an amplified receiver that does not' => [false, []]] as $name => [$acknowledge, $titles]) {
            yield $name => ['packet-power-over-limit', static fn (): Sketch => self::sketch()
                ->node('hand', 'Hand', NodeKind::Handset, null, '8bit-5v-20io')->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
                ->node('board', 'Board', NodeKind::Controller, null, '8bit-5v-20io')->module('board-radio', 'board', 'packet-radio-amplified', 'Radio', FedFrom::Own)
                ->link('l', 'Air', 'packet-radio', ['channel' => 80, 'acknowledge' => $acknowledge])
                ->join('l', 'hand', Role::Sends, 'hand-radio')->join('l', 'board', Role::Receives, 'board-radio'), $titles];
        }
        yield 'one press, one code, for all' => ['packet-broadcast-misunderstood', static fn (): Sketch => self::broadcast(7, Action::On, true), []];
        yield 'two presses, one code, for all' => ['packet-broadcast-misunderstood', static fn (): Sketch => self::broadcast(7, Action::Off, true), ['0x07 means two things to receivers that hear each other']];
        yield 'two presses, two codes, for all' => ['packet-broadcast-misunderstood', static fn (): Sketch => self::broadcast(8, Action::Off, true), []];
        yield 'two presses, one code, for receivers that do not hear each other' => ['packet-broadcast-misunderstood', static fn (): Sketch => self::broadcast(7, Action::Off, false), []];
        yield 'shared, on two channels' => [
            'packet-shared-address',
            static fn (): Sketch => $other(self::air())
                ->address('l', 'board', 1, 'C2F19A4701')
                ->link('m', 'Far', 'packet-radio', ['channel' => 20])
                ->join('m', 'board2', Role::Receives)
                ->address('m', 'board2', 1, 'C2F19A4701'),
            [],
        ];

        yield 'pipes that begin alike' => [
            'packet-pipe-prefix-broken',
            static fn (): Sketch => self::air()
                ->address('l', 'board', 1, 'C2F19A4701')
                ->address('l', 'board', 2, 'C2F19A4702'),
            [],
        ];
        yield 'pipe 2 that begins otherwise' => [
            'packet-pipe-prefix-broken',
            static fn (): Sketch => self::air()
                ->address('l', 'board', 1, 'C2F19A4701')
                ->address('l', 'board', 2, 'D2F19A4702'),
            ['Pipe 2 of Board cannot have that address'],
        ];
        yield 'pipe 0, free-standing' => [
            'packet-pipe-prefix-broken',
            static fn (): Sketch => self::air()
                ->address('l', 'board', 1, 'C2F19A4701')
                ->address('l', 'board', 0, 'D2F19A4702'),
            [],
        ];

        yield 'the sixth pipe' => ['packet-pipe-impossible', static fn (): Sketch => self::air()->address('l', 'board', 5, 'C2F19A4701'), []];
        yield 'a seventh pipe' => ['packet-pipe-impossible', static fn (): Sketch => self::air()->address('l', 'board', 6, 'C2F19A4701'), ['Board has no pipe 6']];

        foreach ([[6, false, []], [7, false, ['7 senders for the six pipes of Board']], [7, true, []]] as [$senders, $senderId, $titles]) {
            yield "{$senders} senders".($senderId ? ' that say who they are' : '') => [
                'packet-too-many-senders',
                static fn (): Sketch => self::senders($senders, $senderId),
                $titles,
            ];
        }

        yield 'a delay that suffices' => [
            'packet-retry-delay-too-short',
            static fn (): Sketch => self::air([], ['retryDelayUs' => 500]),
            [],
        ];
        yield 'a 250 kbit/s acknowledge does not fit a 250 µs retry delay' => [
            'packet-retry-delay-too-short',
            static fn (): Sketch => self::air([], ['retryDelayUs' => 250]),
            ['Retry delay too short for the acknowledge'],
        ];
        yield 'at 1 Mbit/s it does' => [
            'packet-retry-delay-too-short',
            static fn (): Sketch => self::air(['rateKbps' => 1000], ['retryDelayUs' => 250]),
            [],
        ];
        yield 'a delay that is no step' => [
            'packet-retry-delay-too-short',
            static fn (): Sketch => self::air([], ['retryDelayUs' => 600]),
            ['600 µs is no step of the retry delay'],
        ];
        yield 'no acknowledge, no matter' => [
            'packet-retry-delay-too-short',
            static fn (): Sketch => self::air(['acknowledge' => false], ['retryDelayUs' => 250]),
            [],
        ];

        yield 'delays that differ enough' => [
            'packet-retry-delays-equal',
            static fn (): Sketch => $second(self::air(), ['retryDelayUs' => 750]),
            [],
        ];
        yield 'equal delays' => [
            'packet-retry-delays-equal',
            static fn (): Sketch => $second(self::air(), ['retryDelayUs' => 500]),
            ['Hand and Second retry in step'],
        ];
        yield 'delays that differ too little for long frames' => [
            'packet-retry-delays-equal',
            static fn (): Sketch => $second(self::air(['payloadBytes' => 32]), ['retryDelayUs' => 750]),
            ['Hand and Second retry almost in step'],
        ];

        $routed = static fn (Sketch $s, Action $action): Sketch => $s
            ->control('k', 'hand', 'Key')
            ->output('o', 'board', 'Lamp')
            ->route('k', $action, 'o')
            ->hop("k o {$action->value}", 'l', 'hand', 'board', 1);
        yield 'a toggle, acknowledged' => [
            'packet-toggle-unacknowledged',
            static fn (): Sketch => $routed(self::air(), Action::Toggle),
            [],
        ];
        yield 'a toggle, unacknowledged' => [
            'packet-toggle-unacknowledged',
            static fn (): Sketch => $routed(self::air(['acknowledge' => false]), Action::Toggle),
            ['A toggle goes over a link that does not acknowledge'],
        ];
        yield 'a toggle, unacknowledged, where the next frame makes up for it' => [
            'packet-toggle-unacknowledged',
            static fn (): Sketch => $routed(self::air(['acknowledge' => false, 'wholeState' => true]), Action::Toggle),
            [],
        ];
        yield 'on, unacknowledged' => [
            'packet-toggle-unacknowledged',
            static fn (): Sketch => $routed(self::air(['acknowledge' => false]), Action::On),
            [],
        ];
    }

    /** @param  array<string, mixed>  $settings */
    private static function sticks(int $count, array $settings): Sketch
    {
        $sketch = self::air($settings);
        for ($stick = 1; $stick <= $count; $stick++) {
            $sketch->control("s{$stick}", 'hand', "Stick {$stick}", ControlKind::Axis, settings: ['everyMs' => 100])->output("m{$stick}", 'board', "Motor {$stick}", OutputKind::Motor)
                ->route("s{$stick}", Action::Set, "m{$stick}")->hop("s{$stick} m{$stick} set", 'l', 'hand', 'board', $stick);
        }

        return $sketch;
    }

    public function test_what_no_frame_holds_goes_back_to_commands(): void
    {
        $plan = self::sticks(30, ['wholeState' => true, 'payloadBytes' => 32])->plan();
        $fix = self::found($plan, 'packet-payload-too-short')[0]->fix;
        self::assertNotNull($fix);
        $after = (new Editor(self::knowledge()))->apply($plan, $fix->operations)->plan;
        self::assertSame([], self::found($after, 'packet-payload-too-short'));
        self::assertFalse($after->links()[0]->settings['wholeState']);
        self::assertSame([], array_filter(self::assigner()->assign($plan)->proposals, static fn (Proposal $one): bool => str_starts_with($one->what, 'Payload')), 'no payload is so long');
    }

    private static function senders(int $count, bool $senderId): Sketch
    {
        $sketch = self::pair()
            ->link('l', 'Air', 'packet-radio', ['senderId' => $senderId])
            ->join('l', 'board', Role::Receives, 'board-radio')
            ->output('o', 'board', 'Lamp');
        for ($sender = 1; $sender <= $count; $sender++) {
            $sketch->node("s{$sender}", "Sender {$sender}", NodeKind::Handset, null, '8bit-5v-20io')
                ->join('l', "s{$sender}", Role::Sends)->control("k{$sender}", "s{$sender}", 'Key')
                ->route("k{$sender}", Action::On, 'o')->hop("k{$sender} o on", 'l', "s{$sender}", 'board', $sender);
        }

        return $sketch;
    }

    /**
     * @param  Closure(): Sketch  $plan
     * @param  list<string>  $titles
     */
    #[DataProvider('cases')]
    public function test_the_rule_says(string $rule, Closure $plan, array $titles): void
    {
        self::assertSame($titles, array_map(static fn (Finding $finding): string => $finding->title, self::found($plan()->plan(), $rule)));
    }

    /** @return iterable<string, array{int, int|null}> channel and the Wi-Fi it lies under, with Wi-Fi 1 and 6 busy */
    public static function underWifi(): iterable
    {
        // IEEE 802.11: 2401–2423 and 2426–2448 MHz.
        foreach ([[1, 1], [23, 1], [24, null], [25, null], [26, 6], [48, 6], [49, null], [62, null]] as [$channel, $wifi]) {
            yield "channel {$channel}" => [$channel, $wifi];
        }
    }

    #[DataProvider('underWifi')]
    public function test_a_channel_under_busy_wifi_is_named(int $channel, ?int $wifi): void
    {
        $plan = self::sketch('eu', [1, 6])->link('l', 'Air', 'packet-radio', ['channel' => $channel])->plan();
        $titles = array_map(static fn (Finding $finding): string => $finding->title, self::found($plan, 'packet-channel-under-wifi'));
        self::assertSame($wifi === null ? [] : ["Channel {$channel} lies under Wi-Fi {$wifi}"], $titles);
    }

    /** @return iterable<string, array{string, string, int, bool}> region, module, power setting, over the limit */
    public static function powers(): iterable
    {
        // EN 300 440 about 10 mW; 47 CFR 15.249: 50 mV/m at 3 m is −1.2 dBm e.i.r.p.; both from memory.
        yield 'plain in Europe' => ['eu', 'packet-radio-plain', 0, false];
        yield 'amplified in Europe' => ['eu', 'packet-radio-amplified', 0, true];
        yield 'amplified, turned down, in Europe' => ['eu', 'packet-radio-amplified', -12, false];
        yield 'plain in the United States' => ['us', 'packet-radio-plain', 0, true];
        yield 'plain, turned down, in the United States' => ['us', 'packet-radio-plain', -6, false];
    }

    #[DataProvider('powers')]
    public function test_power_over_the_regions_limit_is_named(string $region, string $module, int $powerDbm, bool $over): void
    {
        $plan = self::sketch($region)->node('n', 'N', NodeKind::Handset, null, '8bit-5v-20io')->module('r', 'n', $module, 'Radio', FedFrom::Adapter)
            ->link('l', 'Air', 'packet-radio', ['powerDbm' => $powerDbm])->join('l', 'n', Role::Sends, 'r')->plan();
        self::assertCount($over ? 1 : 0, self::found($plan, 'packet-power-over-limit'));
    }

    public function test_50_millivolts_a_metre_at_3_metres_is_minus_1_2_dbm(): void
    {
        // e.i.r.p. = (E · d)² / 30 W, from the plane-wave impedance of free space.
        $watts = (0.05 * 3) ** 2 / 30;
        self::assertEqualsWithDelta(10 * log10($watts * 1000), self::knowledge()->catalogue->regions['us']->band('packet-radio')?->maxEirpDbm, 0.06);
    }

    public function test_a_broadcast_that_is_meant_goes_without_acknowledge(): void
    {
        $plan = static fn (bool $acknowledge): Plan => self::pair()->link('l', 'Air', 'packet-radio', ['channel' => 80, 'acknowledge' => $acknowledge])
            ->join('l', 'hand', Role::Receives, 'hand-radio', [], ['broadcast'])->join('l', 'board', Role::Receives, 'board-radio', [], ['broadcast'])
            ->address('l', 'hand', 1, 'C2F19A4701')->address('l', 'board', 1, 'C2F19A4701')->plan();
        self::assertSame([], self::found($plan(false), 'packet-shared-address'));
        self::assertCount(1, self::found($plan(true), 'packet-shared-address'));
    }

    public function test_a_pipe_holds_one_address(): void
    {
        $sketch = self::sketch()->link('l', 'Air', 'packet-radio')->node('board', 'Board', NodeKind::Controller, null, '8bit-5v-20io')
            ->join('l', 'board', Role::Receives)->address('l', 'board', 1, 'C2F19A4701');
        $editor = new Editor(self::knowledge());
        $plan = $editor->apply($sketch->plan(), [Operation::add(new Address(DerivedId::of('another'), $sketch->id('l board'), 1, 'C2F19A4738'))])->plan;
        $found = self::found($plan, 'packet-pipe-impossible');
        self::assertSame(['Pipe 1 of Board has two addresses'], array_map(static fn (Finding $finding): string => $finding->title, $found));
        self::assertNotNull($found[0]->fix);
        self::assertSame([], self::found($editor->apply($plan, $found[0]->fix->operations)->plan, 'packet-pipe-impossible'));
    }

    /** Two receivers on one address, or on two, and a second command to the second of them. */
    private static function broadcast(int $code, Action $action, bool $shared): Sketch
    {
        $key = $action === Action::On ? 'all' : 'one';

        return self::sketch()
            ->node('hand', 'Hand', NodeKind::Handset, null, '8bit-5v-20io')->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->node('near', 'Near', NodeKind::Controller, null, '8bit-5v-20io')->module('near-radio', 'near', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->node('far', 'Far', NodeKind::Controller, null, '8bit-5v-20io')->module('far-radio', 'far', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->link('l', 'Air', 'packet-radio', ['channel' => 80, 'acknowledge' => false])->join('l', 'hand', Role::Sends, 'hand-radio')
            ->join('l', 'near', Role::Receives, 'near-radio', [], ['broadcast'])->join('l', 'far', Role::Receives, 'far-radio', [], ['broadcast'])
            ->address('l', 'near', 0, 'C2F19A4701', true)->address('l', 'far', 0, $shared ? 'C2F19A4701' : '3B86D2E917', true)
            ->output('o1', 'near', 'Near lamp')->output('o2', 'far', 'Far lamp')->control('all', 'hand', 'All')->control('one', 'hand', 'One')
            ->route('all', Action::On, 'o1')->hop('all o1 on', 'l', 'hand', 'near', 7)
            ->route($key, $action, 'o2')->hop("{$key} o2 {$action->value}", 'l', 'hand', 'far', $code);
    }

    public function test_a_broadcast_goes_out_once_and_works_at_all_that_hear_it(): void
    {
        // B2: two receivers pinned to one address on pipe 0, meant so, nothing acknowledged.
        $draft = self::broadcast(7, Action::On, true)->route('one', Action::Off, 'o1')->route('one', Action::Off, 'o2')->plan()->draft();
        foreach ($draft->plan()->hops() as $hop) {
            $draft->drop($hop);
        }
        $plan = self::assigner()->assign($draft->plan())->plan;
        self::assertCount(2, $plan->addresses(), 'nobody gets a second address');
        $codes = [];
        foreach ($plan->hops() as $hop) {
            $codes[$plan->control($plan->route($hop->routeId)->controlId)->name][] = $hop->code;
        }
        ksort($codes);
        self::assertSame(['All' => [1, 1], 'One' => [2, 2]], $codes);
        $hand = Tabulation::of($plan, $plan->nodes()[0], self::knowledge());
        self::assertSame([[2, 1]], array_map(static fn (Tell $tell): array => [$tell->to, $tell->code], $hand->contacts[0]->does->tells), 'one message for both');
        foreach ([1, 2] as $board) {
            self::assertEqualsCanonicalizing([1, 2], array_map(static fn (Heard $heard): int => $heard->code, Tabulation::of($plan, $plan->nodes()[$board], self::knowledge())->heard));
        }
        self::assertSame([], self::assigner()->assign($plan)->proposals);
    }

    /**
     * A pair on packet radio, sound but for what is said.
     *
     * @param  array<string, bool|int|string|null>  $link
     * @param  array<string, bool|int|string|null>  $hand
     * @param  array<string, bool|int|string|null>  $board
     */
    private static function air(array $link = [], array $hand = [], array $board = []): Sketch
    {
        return self::pair()
            ->link('l', 'Air', 'packet-radio', ['channel' => 80, ...$link])
            ->join('l', 'hand', Role::Sends, 'hand-radio', ['retryDelayUs' => 500, ...$hand])
            ->join('l', 'board', Role::Receives, 'board-radio', $board);
    }
}
