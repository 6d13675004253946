<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Behaviour\SaysAllAtOnce;
use Rundfunk\Behaviour\TakesMemory;
use Rundfunk\Behaviour\Whole\StatedFrame;
use Rundfunk\Behaviour\Whole\WholeState;
use Rundfunk\Behaviour\WritesMessages;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\CNames;

/** Frames as messages and back. */
final readonly class PacketMessages implements SaysAllAtOnce, TakesMemory, WritesMessages
{
    public function saysAll(Link $link): bool
    {
        return PacketSettings::saysAll($link);
    }

    public function glue(Plan $plan, Endpoint $endpoint, string $prefix): array
    {
        return (new PacketStates($plan, $endpoint))->glue($prefix);
    }

    public function statedFrames(Plan $plan, Link $link): array
    {
        return array_map(static fn (WholeState $state): StatedFrame => StatedFrame::of($state, PacketFrame::HEAD_BYTES), WholeState::on($plan, $link, new PacketBroadcast));
    }

    public function messageLines(Plan $plan, Endpoint $endpoint, int $link, string $prefix, MessageNumbers $numbers): array
    {
        $settings = PacketSettings::of($plan->link($endpoint->linkId));
        if (! PacketFrame::of($plan, $plan->link($endpoint->linkId))->fits()) {
            return [];
        }
        if ($settings->wholeState) {
            return (new PacketStates($plan, $endpoint))->lines($link, $prefix);
        }
        $packed = $settings->packed ? PackedCommand::on($plan, $plan->link($endpoint->linkId)) : null;
        $lower = strtolower($prefix);
        $name = CNames::comment($plan->link($endpoint->linkId)->name);
        $again = $settings->sends() > 1 && ! $settings->proven;
        $lines = [];
        if ($endpoint->role->receives()) {
            $lines = [
                "/* A frame of {$name} as a message; 0 when it is none".($settings->proven ? ', or nothing proves it: the address is that of the pipe it came in on' : '').($again ? ', or it was heard before; seen begins with zeros' : '').'. */',
                "static inline uint8_t node_from_{$lower}(const uint8_t *bytes, uint8_t length".($settings->proven ? ", const uint8_t address[{$prefix}_ADDRESS_BYTES], uint32_t last[{$prefix}_SENDERS + 1]" : '').($again ? ", uint16_t seen[{$prefix}_SENDERS + 1]" : '').', struct node_message *heard)', '{',
                "    struct {$lower}_frame frame;", $settings->proven ? "    if (!{$lower}_frame_open(&frame, bytes, length, address, last)) {" : "    if (!{$lower}_frame_decode(&frame, bytes, length)) {", '        return 0;', '    }',
                ...($again ? ["    if (frame.sender > {$prefix}_SENDERS || seen[frame.sender] == frame.sequence + 1U) {", '        return 0;', '    }', '    seen[frame.sender] = frame.sequence + 1U;'] : []),
                "    heard->link = {$link};", '    heard->node = '.($settings->senderId ? 'frame.sender' : '0').';', '    heard->code = frame.code;', '    heard->value = '.($packed?->saysNothing() === true ? '0' : 'frame.argument').';', '    return 1;', '}', '',
            ];
        }
        if ($endpoint->role->sends()) {
            $lines = [...$lines,
                "/* A message as a frame of {$name}, to the address of told->node. The sequence counts up with each new message.".($settings->sends() > 1 ? " Send it {$prefix}_SENDS times, a few milliseconds apart." : '').' */',
                "static inline void node_to_{$lower}(const struct node_message *told, uint8_t sequence".($settings->proven ? ", uint32_t counter, const uint8_t address[{$prefix}_ADDRESS_BYTES]" : '').", uint8_t bytes[{$prefix}_FRAME_BYTES])", '{',
                "    struct {$lower}_frame frame;",
                ...($settings->senderId ? ["    frame.sender = {$prefix}_SENDER;", '    frame.sequence = sequence;'] : ['    (void)sequence;']),
                '    frame.code = (uint8_t)told->code;', ...($packed === null ? ['    frame.argument = told->value;'] : $packed->argument()), ...($settings->proven ? ['    frame.counter = counter;', '    frame.tag = 0;'] : []), "    {$lower}_frame_encode(&frame, bytes);", ...($settings->proven ? ["    {$lower}_frame_seal(bytes, address);"] : []), '}', '',
            ];
        }

        return $lines;
    }

    /** Only where frames say all: what is remembered of commands, the caller does. Held to the 8-bit compiler by the tests. */
    public function memoryBytes(Plan $plan, Endpoint $endpoint, MessageNumbers $numbers): int
    {
        return $this->saysAll($plan->link($endpoint->linkId)) ? (new PacketStates($plan, $endpoint))->memoryBytes() : 0;
    }

    public function programBytes(Plan $plan, Endpoint $endpoint, MessageNumbers $numbers): int
    {
        return $this->saysAll($plan->link($endpoint->linkId)) ? (new PacketStates($plan, $endpoint))->programBytes() : 0;
    }
}
