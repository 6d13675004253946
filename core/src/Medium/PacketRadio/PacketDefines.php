<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Behaviour\EndNumber;
use Rundfunk\Build\Define;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\Values;
use Rundfunk\Text\CNames;

final readonly class PacketDefines
{
    /** @return list<Define> */
    public static function of(Plan $plan, Endpoint $endpoint): array
    {
        $link = $plan->link($endpoint->linkId);
        $settings = PacketSettings::of($link);
        $end = new Values($endpoint->settings);
        $defines = [
            new Define('RATE_KBPS', (string) $settings->rate->value, $settings->rate->words()),
            new Define('ADDRESS_BYTES', (string) $settings->addressBytes),
            new Define('PAYLOAD_BYTES', (string) $settings->payloadBytes),
            new Define('CRC_BYTES', (string) $settings->crcBytes),
            new Define('ACKNOWLEDGE', $settings->acknowledge ? '1' : '0'),
            new Define('POWER_DBM', "({$settings->powerDbm})", 'power setting of the transceiver'),
        ];
        if ($settings->channel !== null) {
            array_unshift($defines, new Define('CHANNEL', (string) $settings->channel, PacketSpectrum::frequencyMhz($settings->channel).' MHz'));
        }
        if ($endpoint->role->sends()) {
            $defines[] = new Define('RETRIES', (string) $end->whole('retries'));
            $delay = $end->wholeOrNull('retryDelayUs');
            if ($delay !== null) {
                $defines[] = new Define('RETRY_DELAY_US', (string) $delay);
            }
            if ($settings->senderId) {
                $defines[] = new Define('SENDER', (string) EndNumber::of($plan, $endpoint), 'how this node signs its messages');
            }
        }

        if ($settings->sends() > 1) {
            $defines[] = new Define('SENDS', (string) $settings->sends(), 'how often each message goes out, with one sequence number: nobody says that it came');
        }
        if ($settings->proven || $settings->wholeState || $settings->sends() > 1) {
            $defines[] = new Define('SENDERS', (string) count($plan->endpointsOn($link)), 'sender numbers there are, from 1: what was heard last is kept of each');
        }

        return [...$defines, ...self::own($plan, $endpoint), ...self::others($plan, $endpoint)];
    }

    /** @return list<Define> */
    private static function own(Plan $plan, Endpoint $endpoint): array
    {
        $defines = [];
        foreach ($plan->addressesOf($endpoint) as $address) {
            $parsed = PacketAddress::tryParse($address->value);
            if ($parsed !== null) {
                $defines[] = new Define("PIPE{$address->pipe}_ADDRESS", self::bytes($parsed), "{$parsed->spaced()}, least significant byte first");
            }
        }

        return $defines;
    }

    /** @return list<Define> */
    private static function others(Plan $plan, Endpoint $endpoint): array
    {
        $defines = [];
        foreach ($plan->hopsFrom($endpoint) as $hop) {
            $parsed = PacketAddress::tryParse(PacketPipes::addressBetween($plan, $endpoint->id, $plan->endpoint($hop->toId))?->value);
            if ($parsed !== null) {
                $name = $plan->node($plan->endpoint($hop->toId)->nodeId)->name;
                $defines[$hop->toId] = new Define('TO_'.CNames::upper($name).'_ADDRESS', self::bytes($parsed), "{$name} listens on {$parsed->spaced()}");
            }
        }

        return array_values($defines);
    }

    private static function bytes(PacketAddress $address): string
    {
        $bytes = array_reverse(str_split($address->hex, 2));

        return '{ '.implode(', ', array_map(static fn (string $byte): string => '0x'.$byte, $bytes)).' }';
    }
}
