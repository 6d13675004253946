<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Plan\Link;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** An IP link's settings, with their types. */
final readonly class IpSettings
{
    private function __construct(
        public bool $ownAccessPoint,
        public string $ssid,
        public string $subnetText,
        public ?Subnet $subnet,
        public int $dhcpFrom,
        public int $dhcpTo,
        public int $brokerPort,
        public string $root,
        public int $qos,
        public int $keepAliveS,
        public bool $lastWill,
        public bool $retainState,
        public bool $retainCommands,
    ) {
    }

    public static function of(Link $link): self
    {
        $values = new Values($link->settings);

        return new self(
            $values->text('network') === 'own',
            $values->text('ssid'),
            $values->text('subnet'),
            Subnet::tryParse($values->text('subnet')),
            $values->whole('dhcpFrom'),
            $values->whole('dhcpTo'),
            $values->whole('brokerPort'),
            $values->text('root'),
            $values->whole('qos'),
            $values->whole('keepAliveS'),
            $values->flag('lastWill'),
            $values->flag('retainState'),
            $values->flag('retainCommands'),
        );
    }

    public static function linkShape(): Shape
    {
        return Shape::of(
            Field::oneOf('network', ['house', 'own'], 'Whose network it is.', 'house')->titled('Network')->named(['the house\'s', 'own access point']),
            Field::label('ssid', 32, 'Name of the Wi-Fi. Its password is put in when a board is flashed; it is never kept here.')->titled('Wi-Fi name'),
            Field::label('subnet', 18, 'The network, as 192.168.40.0/24.', '192.168.40.0/24')->titled('Subnet'),
            Field::whole('dhcpFrom', 1, 65_534, 'The first host number that the router hands out by itself.', 100)->titled('DHCP from'),
            Field::whole('dhcpTo', 1, 65_534, 'The last of them.', 199)->titled('DHCP to'),
            Field::whole('brokerPort', 1, 65_535, 'Port of the broker.', 1883)->titled('Broker port'),
            Field::label('root', 60, 'What every topic begins with; the plan\'s own name when empty.')->titled('Topics under'),
            Field::oneOf('qos', [0, 1, 2], 'How surely messages arrive: 0 perhaps, 1 once or oftener, 2 once.', 1)->titled('QoS'),
            Field::whole('keepAliveS', 5, 3_600, 'How often a node says that it is there.', 30, 's')->titled('Keep-alive'),
            Field::flag('lastWill', 'Whether the broker tells when a node is gone.', true)->titled('Last will'),
            Field::flag('retainState', 'Whether the broker keeps the last state for those who come later.', true)->titled('States kept'),
            Field::flag('retainCommands', 'Whether the broker keeps the last command.')->titled('Commands kept'),
        );
    }

    public static function endShape(): Shape
    {
        return Shape::of(
            Field::flag('broker', 'Whether the broker runs on this node.')->titled('Broker'),
            Field::label('clientId', 23, 'How it names itself to the broker.')->nullable()->titled('Client id')->assigned(),
        );
    }

    /** Who hands out the addresses. */
    public function handsOut(): string
    {
        return $this->ownAccessPoint ? 'access point' : 'router';
    }

    /** @return float seconds after which the broker says that a node is gone. Source: MQTT 3.1.1, 3.1.2.10: one and a half keep-alives */
    public function goneAfterS(): float
    {
        return 1.5 * $this->keepAliveS;
    }
}
