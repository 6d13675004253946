<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Ip;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Severity;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Medium\Ip\IpEnds;
use Rundfunk\Medium\Ip\Subnet;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** A row a case: a broker and two boards, and what each rule of IP must say of them. */
final class IpRulesTest extends CoreTestCase
{
    /** @return iterable<string, array{string, Closure(): Sketch, list<string>}> rule, plan, titles */
    public static function cases(): iterable
    {
        $house = static fn (array $link = [], ?string $hub = '192.168.40.10', ?string $board = '192.168.40.11', array $hubEnd = ['broker' => true, 'clientId' => 'hub'], array $boardEnd = ['clientId' => 'board'], array $hazards = []): Sketch => self::sketch()
            ->link('l', 'House', 'ip', $link)
            ->node('hub', 'Hub', NodeKind::Gateway, null, 'computer-40pin')
            ->node('board', 'Board', NodeKind::Controller, null, 'wifi-3v3-11io')
            ->module('relays', 'board', 'relay-bank-2-high', 'Relays', FedFrom::Own)
            ->output('lamp', 'board', 'Lamp', more: ['hazards' => $hazards])
            ->join('l', 'hub', Role::Both, null, $hubEnd)->join('l', 'board', Role::Both, null, $boardEnd)
            ->address('l', 'hub', 0, $hub)->address('l', 'board', 0, $board)
            ->control('page', 'hub', 'Page', ControlKind::Widget);
        $asks = static fn (Sketch $s, Action $action = Action::On): Sketch => $s->route('page', $action, 'lamp')->hop("page lamp {$action->value}", 'l', 'hub', 'board', null);

        yield 'fixed addresses' => ['ip-address-missing', static fn () => $house(), []];
        yield 'no address' => ['ip-address-missing', static fn () => $house(board: null), ['Board has no fixed address on House']];
        yield 'inside the subnet' => ['ip-address-outside', static fn () => $house(), []];
        yield 'outside the subnet' => ['ip-address-outside', static fn () => $house(board: '192.168.41.11'), ['192.168.41.11 is no host of 192.168.40.0/24']];
        yield 'the network itself' => ['ip-address-outside', static fn () => $house(board: '192.168.40.0'), ['192.168.40.0 is no host of 192.168.40.0/24']];
        yield 'the broadcast address' => ['ip-address-outside', static fn () => $house(board: '192.168.40.255'), ['192.168.40.255 is no host of 192.168.40.0/24']];
        yield 'no address at all' => ['ip-address-outside', static fn () => $house(board: '192.168.40.300'), ['192.168.40.300 is no address']];
        yield 'below what is handed out' => ['ip-address-handed-out', static fn () => $house(board: '192.168.40.99'), []];
        yield 'handed out' => ['ip-address-handed-out', static fn () => $house(board: '192.168.40.100'), ['192.168.40.100 is one that the router hands out']];
        yield 'two addresses' => ['ip-address-shared', static fn () => $house(), []];
        yield 'one address' => ['ip-address-shared', static fn () => $house(board: '192.168.40.10'), ['Hub and Board have one address']];
        yield 'two client ids' => ['ip-client-shared', static fn () => $house(), []];
        yield 'one client id' => ['ip-client-shared', static fn () => $house(boardEnd: ['clientId' => 'hub']), ['Hub and Board have one client id']];
        foreach (['computer-40pin' => false, 'wifi-3v3-26io' => false, 'wifi-3v3-11io' => true] as $kind => $cramped) {
            yield "a broker on {$kind}" => ['ip-broker-cramped', static fn () => self::sketch()->link('b', 'Net', 'ip')->node('k', 'Keeper', NodeKind::Gateway, null, $kind)->join('b', 'k', Role::Both, null, ['broker' => true]), $cramped ? ['Keeper runs the broker on 80 kB of memory'] : []];
        }
        yield 'no broker on a small board' => ['ip-broker-cramped', static fn () => self::sketch()->link('b', 'Net', 'ip')->node('k', 'Keeper', NodeKind::Controller, null, 'wifi-3v3-11io')->join('b', 'k', Role::Both), []];
        yield 'a broker' => ['ip-broker-missing', static fn () => $house(), []];
        yield 'no broker' => ['ip-broker-missing', static fn () => $house(hubEnd: []), ['No node of House runs the broker']];
        yield 'a board alone, with a page of its own' => ['ip-broker-missing', static fn () => self::sketch()->link('b', 'Net', 'ip', ['network' => 'own'])->node('k', 'Keeper', NodeKind::Controller, null, 'wifi-3v3-11io')->join('b', 'k', Role::Both), []];
        yield 'a Wi-Fi with a name' => ['ip-network-nameless', static fn () => $house(['ssid' => 'house']), []];
        yield 'a Wi-Fi without' => ['ip-network-nameless', static fn () => $house(), ['House has no name on the air']];
        yield 'a wire needs none' => ['ip-network-nameless', static fn () => self::sketch()->link('b', 'Net', 'ip')->node('k', 'Keeper', NodeKind::Controller, null, '8bit-5v-70io')->module('e', 'k', 'network-ethernet', 'Wire')->join('b', 'k', Role::Both, 'e'), []];
        yield 'handed out by a board' => ['ip-address-handed-out', static fn () => $house(['network' => 'own'], board: '192.168.40.100'), ['192.168.40.100 is one that the access point hands out']];
        yield 'two brokers' => ['ip-broker-missing', static fn () => $house(boardEnd: ['broker' => true]), ['2 nodes of House run a broker']];
        foreach (['home' => true, 'home/shed-2' => true, 'home/#' => false, 'home/+/x' => false, '/home' => false, 'home/' => false, 'a//b' => false, '$SYS' => false, 'my home' => false] as $root => $sound) {
            yield "topics under {$root}" => ['ip-topic-invalid', static fn () => $house(['root' => $root]), $sound ? [] : ["No topic can be under \"{$root}\""]];
        }
        yield 'things of two names' => ['ip-topic-shared', static fn () => $house()->output('fan', 'board', 'Fan'), []];
        yield 'things of nearly one name' => ['ip-topic-shared', static fn () => $house()->output('other', 'board', 'lamp!'), ['Lamp and lamp! come out as one topic']];
        yield 'nodes of one name' => ['ip-topic-shared', static fn () => $house()->node('twin', 'board', NodeKind::Controller, null, 'wifi-3v3-11io')->join('l', 'twin', Role::Both), ['Board and board come out as one topic']];
        yield 'commands that pass' => ['ip-commands-retained', static fn () => $house(), []];
        yield 'commands that stay' => ['ip-commands-retained', static fn () => $house(['retainCommands' => true]), ['House keeps commands']];
        yield 'states that stay' => ['ip-state-forgotten', static fn () => $house(), []];
        yield 'states that pass' => ['ip-state-forgotten', static fn () => $house(['retainState' => false]), ['House keeps no states']];
        yield 'a last will' => ['ip-no-last-will', static fn () => $house(), []];
        yield 'no last will' => ['ip-no-last-will', static fn () => $house(['lastWill' => false]), ['Nobody tells when a node of House is gone']];
        yield 'on' => ['ip-toggle-twice', static fn () => $asks($house()), []];
        yield 'a toggle at QoS 1' => ['ip-toggle-twice', static fn () => $asks($house(), Action::Toggle), ['Lamp is toggled where a message may come twice']];
        yield 'a toggle at QoS 0' => ['ip-toggle-twice', static fn () => $asks($house(['qos' => 0]), Action::Toggle), ['Lamp is toggled where a message may be lost']];
        yield 'a toggle at QoS 2' => ['ip-toggle-twice', static fn () => $asks($house(['qos' => 2]), Action::Toggle), []];
        // MQTT 3.1.1, 3.1.2.10: one and a half keep-alives.
        yield 'a keep-alive of a minute' => ['ip-presence-late', static fn () => $house(['keepAliveS' => 60]), []];
        yield 'a keep-alive of 61 s' => ['ip-presence-late', static fn () => $house(['keepAliveS' => 61]), ['A dead node of House is noticed after 91.5 s']];
        $own = static fn (int $more): Sketch => array_reduce(range(1, $more), static fn (Sketch $s, int $n): Sketch => $s->node("n{$n}", "N{$n}", NodeKind::Controller, null, 'wifi-3v3-11io')->join('l', "n{$n}", Role::Both), $house(['network' => 'own']));
        yield 'four on an access point of our own' => ['ip-too-many-stations', static fn () => $own(3), []];
        yield 'five on an access point of our own' => ['ip-too-many-stations', static fn () => $own(4), ['5 nodes are on the access point of House, and a small board takes 4']];
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

    public function test_kept_commands_are_a_danger_where_they_can_hurt(): void
    {
        $plan = static fn (array $hazards): array => self::found(self::sketch()
            ->link('l', 'House', 'ip', ['retainCommands' => true])
            ->node('hub', 'Hub', NodeKind::Gateway, null, 'computer-40pin')->node('board', 'Board', NodeKind::Controller, null, 'wifi-3v3-11io')
            ->output('gate', 'board', 'Gate', more: ['hazards' => $hazards])
            ->join('l', 'hub', Role::Both)->join('l', 'board', Role::Both)->control('page', 'hub', 'Page', ControlKind::Widget)
            ->route('page', Action::On, 'gate')->hop('page gate on', 'l', 'hub', 'board', null)->plan(), 'ip-commands-retained');
        self::assertSame(Severity::Danger, $plan(['motion'])[0]->severity);
        self::assertSame(Severity::Fault, $plan([])[0]->severity);
    }

    public function test_a_board_without_a_network_needs_a_part_and_one_with_does_not(): void
    {
        $missing = static fn (string $board): int => count(self::found(self::sketch()->link('l', 'House', 'ip')->node('n', 'N', NodeKind::Controller, null, $board)->join('l', 'n', Role::Both)->plan(), 'endpoint-without-module'));
        self::assertSame(0, $missing('wifi-3v3-11io'));
        self::assertSame(0, $missing('computer-40pin'));
        self::assertSame(1, $missing('8bit-5v-20io'));
    }

    public function test_assign_gives_addresses_clear_of_the_router_and_client_ids(): void
    {
        $sketch = self::sketch()->link('l', 'House', 'ip', ['subnet' => '10.1.2.0/24', 'dhcpFrom' => 10, 'dhcpTo' => 20]);
        foreach (['Shed', 'Shed', 'Barn'] as $number => $name) {
            $sketch->node("n{$number}", $name, NodeKind::Controller, null, 'wifi-3v3-11io')->join('l', "n{$number}", Role::Both, null, ['broker' => $number === 0]);
        }
        $plan = $sketch->address('l', 'n2', 0, '10.1.2.21', true)->assigned();
        $values = array_map(static fn (Address $address): ?string => $address->value, $plan->addresses());
        sort($values);
        self::assertSame(['10.1.2.21', '10.1.2.22', '10.1.2.23'], $values);
        self::assertSame(['shed', 'shed-2', 'barn'], array_map(IpEnds::clientId(...), $plan->endpoints()));
    }

    /** @return iterable<string, array{string, bool, string|null, int|null}> */
    public static function subnets(): iterable
    {
        // RFC 4632: the prefix's bits are the network, the rest the host.
        yield 'a /24' => ['192.168.40.0/24', true, '192.168.40.10', 256];
        yield 'a /23 begun in its middle' => ['192.168.41.7/23', true, '192.168.40.10', 512];
        yield 'a /30' => ['10.0.0.4/30', true, '10.0.0.14', 4];
        yield 'too wide' => ['8.0.0.0/7', false, null, null];
        yield 'no prefix' => ['192.168.40.0', false, null, null];
        yield 'no address' => ['192.168.400.0/24', false, null, null];
    }

    #[DataProvider('subnets')]
    public function test_a_subnet_is_read_as_the_standard_has_it(string $text, bool $reads, ?string $tenth, ?int $size): void
    {
        $subnet = Subnet::tryParse($text);
        self::assertSame($reads, $subnet !== null);
        self::assertSame($size, $subnet?->size());
        self::assertSame($tenth, $subnet?->host(10));
    }
}
