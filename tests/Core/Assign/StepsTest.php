<?php

declare(strict_types=1);

namespace Tests\Core\Assign;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Assign\Step;
use Rundfunk\Check\Severity;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Links\Step\AttachmentStep;
use Rundfunk\Medium\PacketRadio\PacketAddress;
use Rundfunk\Medium\PacketRadio\Step\AddressStep;
use Rundfunk\Medium\PacketRadio\Step\LinkChannelStep;
use Rundfunk\Medium\PacketRadio\Step\PayloadStep;
use Rundfunk\Medium\PacketRadio\Step\RetryDelayStep;
use Rundfunk\Pins\Step\ChannelStep;
use Rundfunk\Pins\Step\PinStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\Supply;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Power\Step\SupplyStep;
use Rundfunk\Routes\Step\CodeStep;
use Tests\Core\CoreTestCase;

/** Each step of Assign by itself. */
final class StepsTest extends CoreTestCase
{
    /** @return list<array{string, string|null, string}> what, before, after */
    private static function proposed(Step $step, Plan $plan): array
    {
        $rows = [];
        foreach ($step->propose($plan, self::knowledge()) as $proposal) {
            $rows[] = [$proposal->what, $proposal->before, $proposal->after];
        }

        return $rows;
    }

    /** @return iterable<string, array{string, string, string}> board, module class, supply proposed */
    public static function supplies(): iterable
    {
        yield 'a plain radio on a weak pin that bears it' => ['8bit-5v-20io', 'packet-radio-plain', '3V3 pin'];
        yield 'an amplified radio on a weak pin' => ['8bit-5v-20io', 'packet-radio-amplified', '3.3 V regulator adapter (buy)'];
        yield 'an amplified radio on a strong pin' => ['32bit-3v3-26io', 'packet-radio-amplified', '3V3 pin'];
        yield 'four coils' => ['8bit-5v-20io', 'relay-bank-4-low', '5V pin'];
        yield 'eight coils' => ['8bit-5v-20io', 'relay-bank-8-low', 'plug-in supply, 5 V 1 A (buy)'];
        // 3.4 to 4.4 V and two amperes: never the 3.3 V adapter.
        yield 'a modem that wants four volts and two amperes' => ['8bit-5v-70io', 'modem-2g', 'buck regulator module, adjustable set to 3.9 V on a plug-in supply, 5 V 3 A (buy both)'];
        yield 'what gives its own supply out, on a board of three volts' => ['wifi-3v3-11io', 'keyed-receiver', '3V3 pin'];
        yield 'the same on a board of five' => ['8bit-5v-20io', 'keyed-receiver', '5V pin'];
    }

    #[DataProvider('supplies')]
    public function test_a_module_is_fed_from_the_first_rail_that_can_bear_it(string $board, string $class, string $supply): void
    {
        $plan = self::sketch()
            ->node('n', 'N', NodeKind::Controller, null, $board)
            ->module('m', 'n', $class, 'M')
            ->plan();
        self::assertSame([['Supply of N · M', null, $supply]], self::proposed(new SupplyStep, $plan));
    }

    public function test_what_is_drawn_already_counts_against_a_rail(): void
    {
        $plan = self::sketch()
            ->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')
            ->module('a', 'n', 'relay-bank-4-low', 'First', FedFrom::Board5V)
            ->module('b', 'n', 'relay-bank-2-low', 'Second')
            ->plan();
        self::assertSame([['Supply of N · Second', null, 'plug-in supply, 5 V 1 A (buy)']], self::proposed(new SupplyStep, $plan));
    }

    public function test_the_adapter_comes_with_its_supply_and_once(): void
    {
        $plan = self::sketch()
            ->node('n', 'N', NodeKind::Gateway, null, '8bit-5v-20io')
            ->module('a', 'n', 'packet-radio-amplified', 'One')
            ->module('b', 'n', 'packet-radio-amplified', 'Two')
            ->assigned();
        $classes = array_map(static fn (Supply $supply): string => $supply->class, $plan->of(Supply::class));
        self::assertSame(['board-5v', 'plug-5v-1a', 'regulator-adapter'], $classes);
        self::assertSame([], self::found($plan, 'supply-missing'));
        self::assertSame([], self::found($plan, 'weak-rail'));
    }

    public function test_an_end_takes_the_first_radio_that_no_other_link_has(): void
    {
        $plan = self::sketch()
            ->node('n', 'N', NodeKind::Gateway, null, '8bit-5v-20io')
            ->module('k', 'n', 'button-pad-1', 'Key')
            ->module('a', 'n', 'packet-radio-plain', 'One')
            ->module('b', 'n', 'packet-radio-plain', 'Two')
            ->link('l', 'L', 'packet-radio')
            ->link('m', 'M', 'packet-radio')
            ->link('o', 'O', 'packet-radio')
            ->join('l', 'n', Role::Both, 'a')
            ->join('m', 'n', Role::Both)
            ->join('o', 'n', Role::Both)
            ->plan();
        self::assertSame([['Radio of N on M', null, 'Two']], self::proposed(new AttachmentStep, $plan));
    }

    public function test_a_thing_sits_only_on_a_channel_of_its_kind(): void
    {
        $plan = self::sketch()
            ->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')
            ->module('lamp', 'n', 'indicator-lamp', 'Lamp')
            ->module('bank', 'n', 'relay-bank-1-low', 'Bank')
            ->module('stick', 'n', 'joystick', 'Stick')
            ->output('relay', 'n', 'Pump')
            ->output('light', 'n', 'Light', OutputKind::Lamp)
            ->control('axis', 'n', 'Sideways', ControlKind::Axis)
            ->control('key', 'n', 'Push')
            ->plan();
        self::assertSame([
            ['Channel of N · Pump', null, 'Bank IN1'],
            ['Channel of N · Light', null, 'Lamp LED'],
            ['Channel of N · Sideways', null, 'Stick X'],
            ['Channel of N · Push', null, 'Stick KEY'],
        ], self::proposed(new ChannelStep, $plan));
    }

    public function test_a_full_bank_leaves_the_rest_without(): void
    {
        $plan = self::sketch()
            ->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')
            ->module('bank', 'n', 'relay-bank-1-low', 'Bank')
            ->output('a', 'n', 'First')
            ->output('b', 'n', 'Second')
            ->plan();
        self::assertCount(1, self::proposed(new ChannelStep, $plan));
    }

    public function test_a_channel_chosen_by_the_user_is_left_to_it(): void
    {
        $sketch = self::sketch()
            ->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')
            ->module('bank', 'n', 'relay-bank-2-low', 'Bank')
            ->output('a', 'n', 'First', OutputKind::Relay, 'bank', 'IN1')
            ->output('b', 'n', 'Second', OutputKind::Relay, 'bank', 'IN1');
        $plan = (new Editor(self::knowledge()))->apply($sketch->plan(), [Operation::change(ThingKind::Output, $sketch->id('b'), ['pinned' => true])])->plan;
        self::assertSame([['Channel of N · First', 'IN1', 'Bank IN2']], self::proposed(new ChannelStep, $plan));
    }

    /** One link with one receiver and as many commands as asked for. */
    private static function commands(int $count): Plan
    {
        $sketch = self::pair()
            ->link('l', 'Air', 'packet-radio')
            ->join('l', 'hand', Role::Sends, 'hand-radio')
            ->join('l', 'board', Role::Receives, 'board-radio');
        for ($number = 1; $number <= $count; $number++) {
            $sketch->control("k{$number}", 'hand', "Key {$number}")
                ->output("o{$number}", 'board', "Lamp {$number}")
                ->route("k{$number}", Action::On, "o{$number}")
                ->hop("k{$number} o{$number} on", 'l', 'hand', 'board', null);
        }

        return $sketch->plan();
    }

    public function test_codes_run_from_one_and_leave_out_what_blank_memory_reads_as(): void
    {
        $codes = array_column(self::proposed(new CodeStep, self::commands(254)), 2);
        self::assertSame('0x01', $codes[0]);
        self::assertSame('0xFE', $codes[253]);
        self::assertNotContains('0x00', $codes);
        self::assertNotContains('0xFF', $codes);
        self::assertCount(254, array_unique($codes));
    }

    public function test_when_all_codes_are_taken_the_rest_stay_without(): void
    {
        self::assertCount(254, self::proposed(new CodeStep, self::commands(260)));
    }

    public function test_when_a_link_has_no_code_left_another_receiver_may_use_one_again(): void
    {
        $sketch = self::pair()
            ->node('other', 'Other', NodeKind::Controller, null, '8bit-5v-20io')
            ->link('l', 'Air', 'packet-radio')
            ->join('l', 'hand', Role::Sends, 'hand-radio')
            ->join('l', 'board', Role::Receives, 'board-radio')
            ->join('l', 'other', Role::Receives);
        for ($number = 1; $number <= 254; $number++) {
            $sketch->control("k{$number}", 'hand', "Key {$number}")
                ->output("o{$number}", 'board', "Lamp {$number}")
                ->route("k{$number}", Action::On, "o{$number}")
                ->hop("k{$number} o{$number} on", 'l', 'hand', 'board', $number);
        }
        $sketch->output('extra', 'other', 'Extra')
            ->route('k1', Action::On, 'extra')
            ->hop('k1 extra on', 'l', 'hand', 'other', null);
        self::assertSame(
            [['Code of Hand · Key 1 → Other · Extra over Air', null, '0x01']],
            self::proposed(new CodeStep, $sketch->plan()),
        );
        self::assertSame([], self::found($sketch->assigned(), 'code-shared'));
    }

    /** @return iterable<string, array{int, list<string>}> senders, delays proposed */
    public static function senders(): iterable
    {
        yield 'one' => [1, ['500 µs']];
        yield 'two' => [2, ['500 µs', '750 µs']];
        yield 'four' => [4, ['500 µs', '750 µs', '1000 µs', '1250 µs']];
        yield 'fifteen fill the part' => [15, array_map(static fn (int $us): string => "{$us} µs", range(500, 4000, 250))];
    }

    /** @param  list<string>  $delays */
    #[DataProvider('senders')]
    public function test_retry_delays_rise_from_the_least_legal_one(int $senders, array $delays): void
    {
        $sketch = self::sketch()->link('l', 'Air', 'packet-radio');
        for ($sender = 1; $sender <= $senders; $sender++) {
            $sketch->node("s{$sender}", "S{$sender}", NodeKind::Handset, null, null)->join('l', "s{$sender}", Role::Sends);
        }
        self::assertSame($delays, array_column(self::proposed(new RetryDelayStep, $sketch->plan()), 2));
    }

    public function test_more_senders_than_delays_are_advised_to_be_polled(): void
    {
        $sketch = self::sketch()->link('l', 'Air', 'packet-radio');
        for ($sender = 1; $sender <= 17; $sender++) {
            $sketch->node("s{$sender}", "S{$sender}", NodeKind::Handset, null, null)->join('l', "s{$sender}", Role::Sends);
        }
        $findings = self::found($sketch->assigned(), 'packet-retry-delays-equal');
        self::assertNotSame([], $findings);
        foreach ($findings as $finding) {
            self::assertSame(Severity::Advice, $finding->severity);
            self::assertStringContainsString('ask them in turn', $finding->remedy);
        }
    }

    public function test_a_link_that_does_not_acknowledge_needs_no_delays(): void
    {
        $plan = self::sketch()
            ->link('l', 'Air', 'packet-radio', ['acknowledge' => false])
            ->node('s', 'S', NodeKind::Handset, null, null)
            ->join('l', 's', Role::Sends)
            ->plan();
        self::assertSame([], self::proposed(new RetryDelayStep, $plan));
    }

    public function test_a_payload_that_does_not_hold_the_frame_grows_to_it_and_one_that_does_stays(): void
    {
        $plan = self::sketch()
            ->link('a', 'Short', 'packet-radio', ['payloadBytes' => 3])
            ->link('b', 'Long', 'packet-radio', ['payloadBytes' => 20])
            ->link('c', 'Bare', 'packet-radio', ['payloadBytes' => 2, 'senderId' => false])
            ->link('d', 'Fixed', 'packet-radio', ['payloadBytes' => 2], ['payloadBytes'])
            ->plan();
        self::assertSame([
            ['Payload of Short', '3 bytes', '5 bytes'],
            ['Payload of Bare', '2 bytes', '3 bytes'],
        ], self::proposed(new PayloadStep, $plan));
    }

    /** @return iterable<string, array{list<int>, list<int|null>, list<string>}> busy Wi-Fi, channels now, channels proposed */
    public static function channels(): iterable
    {
        yield 'nothing busy' => [[], [null], ['1']];
        yield 'away from the skirts of Wi-Fi' => [[1, 6, 11], [null], ['76']];
        yield 'two links' => [[1, 6, 11], [null, null], ['76', '77']];
        yield 'one that can stay' => [[1, 6, 11], [80, null], ['76']];
        yield 'one under Wi-Fi' => [[1, 6, 11], [40], ['76']];
        yield 'one outside the band' => [[1, 6, 11], [100], ['76']];
        yield 'more than fit away from the skirts' => [
            [1, 6, 11],
            [null, null, null, null, null, null, null, null, null],
            ['24', '25', '49', '50', '74', '75', '76', '77', '78'],
        ];
        yield 'Wi-Fi everywhere' => [[1, 5, 9, 13], [null], ['1']];
    }

    /**
     * @param  list<int>  $busy
     * @param  list<int|null>  $now
     * @param  list<string>  $proposed
     */
    #[DataProvider('channels')]
    public function test_channels_are_legal_clear_and_low(array $busy, array $now, array $proposed): void
    {
        $sketch = self::sketch('eu', $busy);
        foreach ($now as $index => $channel) {
            $sketch->link("l{$index}", "L{$index}", 'packet-radio', ['channel' => $channel]);
        }
        self::assertSame($proposed, array_column(self::proposed(new LinkChannelStep, $sketch->plan()), 2));
    }

    public function test_addresses_of_two_households_differ(): void
    {
        $address = static fn (string $seed): ?string => (new Sketch($seed, 'Home', self::assigner()))
            ->node('n', 'N', NodeKind::Controller, null, null)
            ->link('l', 'Air', 'packet-radio')
            ->join('l', 'n', Role::Receives)
            ->assigned()->addresses()[0]->value;
        self::assertNotSame($address('one'), $address('other'));
        self::assertSame($address('one'), $address('one'));
    }

    public function test_forty_receivers_get_addresses_two_bits_apart_and_none_is_poor(): void
    {
        $sketch = self::sketch()->link('l', 'Air', 'packet-radio');
        for ($number = 1; $number <= 40; $number++) {
            $sketch->node("n{$number}", "N{$number}", NodeKind::Controller, null, null)->join('l', "n{$number}", Role::Receives);
        }
        $addresses = array_map(static fn (Address $address): PacketAddress => PacketAddress::parse((string) $address->value), $sketch->assigned()->addresses());
        self::assertCount(40, $addresses);
        foreach ($addresses as $index => $one) {
            self::assertSame([], $one->weaknesses());
            foreach (array_slice($addresses, $index + 1) as $other) {
                self::assertGreaterThanOrEqual(2, $one->distance($other));
            }
        }
    }

    public function test_a_broadcast_that_is_meant_keeps_its_shared_address(): void
    {
        $plan = self::sketch()
            ->node('a', 'A', NodeKind::Controller, null, null)
            ->node('b', 'B', NodeKind::Controller, null, null)
            ->link('l', 'Air', 'packet-radio', ['acknowledge' => false])
            ->join('l', 'a', Role::Receives, null, [], ['broadcast'])
            ->join('l', 'b', Role::Receives, null, [], ['broadcast'])
            ->address('l', 'a', 1, 'C2F19A4701')
            ->address('l', 'b', 1, 'C2F19A4701')
            ->plan();
        self::assertSame([], self::proposed(new AddressStep, $plan));
    }

    public function test_an_address_on_a_pipe_that_nobody_needs_is_kept_away_from_too(): void
    {
        $sketch = self::pair()->link('l', 'Air', 'packet-radio')->join('l', 'hand', Role::Sends, 'hand-radio')->join('l', 'board', Role::Receives, 'board-radio');
        $first = self::proposed(new AddressStep, $sketch->plan())[0][2];
        $beside = str_replace(' ', '', substr($first, 0, -2)).sprintf('%02X', (int) hexdec(substr($first, -2)) ^ 0x10);
        [$chosen] = self::proposed(new AddressStep, $sketch->address('l', 'board', 4, $beside)->plan());
        self::assertNotSame($first, $chosen[2]);
        self::assertGreaterThan(1, PacketAddress::parse($chosen[2])->distance(PacketAddress::parse($beside)));
    }

    public function test_what_must_sit_on_the_console_stays_on_the_pin_it_has(): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-11io')->module('r', 'n', 'relay-bank-8-high', 'Relays', FedFrom::Own)->module('s', 'n', 'relay-bank-4-high', 'More', FedFrom::Own);
        foreach (range(1, 8) as $lamp) {
            $sketch->output("o{$lamp}", 'n', "Lamp {$lamp}", OutputKind::Relay, 'r', "IN{$lamp}");
        }
        foreach (range(1, 3) as $lamp) {
            $sketch->output("p{$lamp}", 'n', "Bulb {$lamp}", OutputKind::Relay, 's', "IN{$lamp}");
        }
        $plan = $sketch->wire('r', 'IN1', 'IO3')->wire('r', 'IN2', 'IO1')->plan();
        $pins = array_column(self::proposed(new PinStep, $plan), 1, 0);
        self::assertArrayNotHasKey('Pin of N · Relays IN1', $pins);
        self::assertArrayNotHasKey('Pin of N · Relays IN2', $pins);
    }

    public function test_readings_go_to_the_sensors_that_measure_such(): void
    {
        // E12: every reading landed on the first sensor.
        $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, '32bit-3v3-26io')
            ->module('soil', 'n', 'sensor-soil', 'Soil')->module('air', 'n', 'sensor-climate', 'Air')->module('wire', 'n', 'sensor-temperature', 'Wire')
            ->control('a', 'n', 'Warmth', ControlKind::Reading, settings: ['unit' => '°C'])
            ->control('b', 'n', 'Wetness', ControlKind::Reading, settings: ['unit' => '%'])
            ->control('c', 'n', 'Other warmth', ControlKind::Reading, settings: ['unit' => '°C'])
            ->control('d', 'n', 'Other wetness', ControlKind::Reading, settings: ['unit' => '%'])
            ->assigned();
        $on = [];
        foreach ($plan->controls() as $control) {
            $on[$control->name] = $plan->module((string) $control->moduleId)->name;
        }
        self::assertSame(['Warmth' => 'Air', 'Wetness' => 'Soil', 'Other warmth' => 'Wire', 'Other wetness' => 'Air'], $on);
    }

    public function test_an_end_that_only_sends_leaves_the_part_that_does_both_to_one_that_needs_it(): void
    {
        // E12: the sending end took the only two-way part, and the hearing one had none.
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io')
            ->module('both', 'n', 'infrared-both', 'Both')->module('sender', 'n', 'infrared-emitter', 'Sender')
            ->link('a', 'A', 'infrared')->join('a', 'n', Role::Sends)
            ->link('b', 'B', 'infrared')->join('b', 'n', Role::Receives);
        $plan = $sketch->assigned();
        self::assertSame(['Sender', 'Both'], array_map(static fn (Endpoint $end): string => $plan->module((string) $end->moduleId)->name, $plan->endpoints()));
    }

    /** @return iterable<string, array{string, int, int, int, string|null}> subnet, handed out from and to, nodes, the last one's address */
    public static function houses(): iterable
    {
        // E12: all but what the router keeps was handed out, and .2 to .9 were free.
        yield 'what is below ten' => ['192.168.40.0/24', 10, 254, 3, '192.168.40.4'];
        yield 'no more than that' => ['192.168.40.0/24', 10, 254, 9, null];
        yield 'a small network' => ['192.168.40.0/29', 6, 6, 2, '192.168.40.3'];
        yield 'a large one' => ['10.0.0.0/8', 100, 199, 2, '10.0.0.11'];
        yield 'above what is handed out' => ['192.168.40.0/24', 2, 199, 1, '192.168.40.200'];
    }

    #[DataProvider('houses')]
    public function test_hosts_are_found_wherever_the_router_hands_out_none(string $subnet, int $from, int $to, int $nodes, ?string $last): void
    {
        $sketch = self::sketch()->link('l', 'House', 'ip', ['subnet' => $subnet, 'dhcpFrom' => $from, 'dhcpTo' => $to]);
        for ($node = 1; $node <= $nodes; $node++) {
            $sketch->node("n{$node}", "N{$node}", NodeKind::Gateway, null, 'computer-40pin')->join('l', "n{$node}", Role::Both);
        }
        $plan = $sketch->assigned();
        $ends = $plan->endpoints();
        self::assertSame($last, ($plan->addressesOf($ends[$nodes - 1])[0] ?? null)?->value);
        self::assertSame([], self::found($plan, 'ip-address-handed-out'));
    }

    public function test_a_board_that_makes_the_network_is_the_first_of_it(): void
    {
        $plan = self::sketch()->link('l', 'Own', 'ip', ['network' => 'own', 'ssid' => 'barn'])
            ->node('a', 'A', NodeKind::Controller, null, 'wifi-3v3-26io')->join('l', 'a', Role::Both)
            ->node('b', 'B', NodeKind::Controller, null, 'wifi-3v3-26io')->join('l', 'b', Role::Both, null, ['broker' => true])
            ->assigned();
        $ends = $plan->endpoints();
        self::assertSame(['192.168.40.10', '192.168.40.1'], array_map(static fn (Endpoint $end): ?string => ($plan->addressesOf($end)[0] ?? null)?->value, $ends));
        self::assertSame([], self::assigner()->assign($plan)->proposals);
    }

    public function test_eight_senders_come_apart_though_one_of_them_is_in_the_way(): void
    {
        // E12: one at 750 µs leaves room for seven; with it moved, 500, 1000 … 4000 fit all eight.
        $sketch = self::sketch()->link('l', 'Air', 'packet-radio', ['rateKbps' => 250, 'payloadBytes' => 32])->node('hub', 'Hub', NodeKind::Controller, null, '8bit-5v-20io')->module('hub-x', 'hub', 'packet-radio-plain', 'Radio')->join('l', 'hub', Role::Receives, 'hub-x');
        for ($sender = 1; $sender <= 8; $sender++) {
            $sketch->node("n{$sender}", "N{$sender}", NodeKind::Handset, null, '32bit-3v3-26io')->module("x{$sender}", "n{$sender}", 'packet-radio-plain', 'Radio')->join('l', "n{$sender}", Role::Sends, "x{$sender}", $sender === 1 ? ['retryDelayUs' => 750] : []);
        }
        $plan = $sketch->assigned();
        self::assertSame([], self::found($plan, 'packet-retry-delays-equal'));
        self::assertSame([], self::assigner()->assign($plan)->proposals);
    }

    public function test_of_two_words_that_clash_the_later_is_said_anew(): void
    {
        // E12: LAMP and GATE LAMP were left as they were.
        $sketch = self::sketch()->link('m', 'Mobile', 'cellular', ['country' => 'GB'])->node('post', 'Post', NodeKind::Controller, null, '32bit-3v3-26io')->module('x', 'post', 'modem-lte-eu', 'Modem')
            ->module('r', 'post', 'relay-bank-2-high', 'Relays')->output('lamp', 'post', 'Lamp')->output('gate', 'post', 'Gate lamp')
            ->node('ann', 'Ann', NodeKind::Phone, null, null)->join('m', 'post', Role::Both, 'x')->join('m', 'ann', Role::Both, null, ['listed' => true])
            ->control('a', 'ann', 'A', ControlKind::Text, settings: ['word' => 'LAMP'])->control('b', 'ann', 'B', ControlKind::Text, settings: ['word' => 'GATE LAMP'])
            ->route('a', Action::On, 'lamp')->route('b', Action::On, 'gate');
        $plan = $sketch->assigned();
        self::assertSame([], self::found($plan, 'cell-words-clash'));
        self::assertSame('LAMP', $plan->control($sketch->id('a'))->settings['word']);
    }
}
