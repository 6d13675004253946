<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Behaviour\TakesMemory;
use Rundfunk\Behaviour\WritesMessages;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\CNames;

/** Slots as messages, and back. */
final readonly class DmxMessages implements TakesMemory, WritesMessages
{
    public function messageLines(Plan $plan, Endpoint $endpoint, int $link, string $prefix, MessageNumbers $numbers): array
    {
        $sends = self::sends($plan, $endpoint, $numbers);
        $hears = self::hears($plan, $endpoint, $numbers);
        $name = CNames::comment($plan->link($endpoint->linkId)->name);
        if ($sends === null && $hears === null) {
            return ["/* {$name}: nothing comes over it or goes, as far as this node is concerned. */", ''];
        }
        $lines = [
            ...($sends === null ? [] : CSender::lines($sends, self::form($endpoint), self::packet($plan, $endpoint))),
            ...($hears === null ? [] : CListener::lines($hears)),
        ];

        return explode("\n", strtr(implode("\n", $lines), ['{l}' => strtolower($prefix), '{L}' => $prefix, '{name}' => $name, '{link}' => (string) $link]));
    }

    public function memoryBytes(Plan $plan, Endpoint $endpoint, MessageNumbers $numbers): int
    {
        $sends = self::sends($plan, $endpoint, $numbers);
        $hears = self::hears($plan, $endpoint, $numbers);

        $bytes = $hears === null ? 0 : CListener::memoryBytes($hears);
        if ($sends === null) {
            return $bytes;
        }
        [$bridges, $isNetwork] = [self::form($endpoint) !== null, self::packet($plan, $endpoint) !== null];
        // Over the network the program holds the whole packet besides.
        $packet = $isNetwork ? NetworkPacket::HEAD + strlen($sends->rests) : 0;

        return $bytes + $packet + CSender::memoryBytes($sends, $bridges) + CSender::tableBytes($sends, $bridges, $isNetwork);
    }

    public function programBytes(Plan $plan, Endpoint $endpoint, MessageNumbers $numbers): int
    {
        $sends = self::sends($plan, $endpoint, $numbers);
        $hears = self::hears($plan, $endpoint, $numbers);

        return ($sends === null ? 0 : CSender::programBytes($sends, self::form($endpoint) !== null, self::packet($plan, $endpoint) !== null)) + ($hears === null ? 0 : CListener::programBytes($hears));
    }

    private static function sends(Plan $plan, Endpoint $endpoint, MessageNumbers $numbers): ?SenderTables
    {
        $tables = $endpoint->role->sends() ? SenderTables::of($plan, $endpoint, $numbers) : null;

        return $tables === null || $tables->isEmpty() ? null : $tables;
    }

    private static function hears(Plan $plan, Endpoint $endpoint, MessageNumbers $numbers): ?ListenerTables
    {
        $tables = $endpoint->role->receives() ? ListenerTables::of($plan, $endpoint, $numbers) : null;

        return $tables === null || $tables->isEmpty() ? null : $tables;
    }

    /** Words that a bridge could not read are said elsewhere. */
    private static function form(Endpoint $endpoint): ?BridgeForm
    {
        $end = DmxEnd::of($endpoint);
        try {
            return $end->bridges ? BridgeForm::from($end->template) : null;
        } catch (BridgeFormRefused) {
            return null;
        }
    }

    private static function packet(Plan $plan, Endpoint $endpoint): ?NetworkPacket
    {
        $settings = DmxSettings::of($plan->link($endpoint->linkId));

        return $settings->isNetwork && $settings->universe !== null ? new NetworkPacket(self::source($endpoint), $plan->node($endpoint->nodeId)->name, $settings->universe, DmxEnd::of($endpoint)->priority) : null;
    }

    /** @return string a UUID of its own, always the same (RFC 9562, version 8) */
    public static function source(Endpoint $endpoint): string
    {
        $bytes = substr(hash('sha256', "universe {$endpoint->id}", true), 0, 16);
        $bytes[6] = chr(0x80 | (ord($bytes[6]) & 0x0F));
        $bytes[8] = chr(0x80 | (ord($bytes[8]) & 0x3F));

        return $bytes;
    }
}
