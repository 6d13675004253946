<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Behaviour\Whole\CWholeState;
use Rundfunk\Behaviour\Whole\StateSlot;
use Rundfunk\Behaviour\Whole\WholeState;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\CNames;

/** Frames that say how all of their sender stands, as messages and back. */
final readonly class PacketStates
{
    /** Of a struct node_message. */
    private const MESSAGE_BYTES = 6;

    private PacketSettings $settings;

    private WholeState $own;

    /** @var list<WholeState> that the end hears something of */
    private array $heard;

    private int $bytes;

    private int $ends;

    private string $name;

    public function __construct(Plan $plan, private Endpoint $endpoint)
    {
        $link = $plan->link($endpoint->linkId);
        $this->settings = PacketSettings::of($link);
        $this->own = WholeState::of($plan, $endpoint, new PacketBroadcast);
        $this->heard = $endpoint->role->receives() ? array_values(array_filter(
            WholeState::on($plan, $link, new PacketBroadcast),
            static fn (WholeState $state): bool => $state->sender->id !== $endpoint->id && $state->heardBy($endpoint) !== [],
        )) : [];
        $this->bytes = PacketFrame::of($plan, $link)->lengthBytes;
        $this->ends = count($plan->endpointsOn($link));
        $this->name = CNames::comment($link->name);
    }

    /**
     * @param  int  $link  the node's number of the link
     * @return list<string>
     */
    public function lines(int $link, string $prefix): array
    {
        $writes = new CWholeState($link, $prefix);

        return [
            ...($this->heard === [] ? [] : [...$writes->hearing($this->heard, $this->endpoint), ...$this->from($prefix)]),
            ...($this->own->slots === [] ? [] : [...$writes->saying($this->own), ...$this->to($prefix, $writes)]),
        ];
    }

    /** @return list<string> */
    public function glue(string $prefix): array
    {
        $lower = strtolower($prefix);
        $receivers = implode(', ', $this->own->receivers());

        return [
            ...($this->own->slots === [] ? [] : ["those for {$this->name}: node_put_{$lower}(&{$lower}, one); when all are in, for node {$receivers}: if node_to_{$lower}(&{$lower}, node, 0, bytes), send bytes to its address. {$lower}_begin(&{$lower}) once, at the start."]),
            ...($this->heard === [] ? [] : ["a frame of {$this->name}: count = node_from_{$lower}(bytes, length, past, heard); let node_step hear those, NODE_HEARD_MOST a step."]),
        ];
    }

    /** @return int bytes on an 8-bit board: of each sender the last frame that was heard of it is kept, and there is room for what one comes to; of this end, how it stands */
    public function memoryBytes(): int
    {
        $own = array_sum(array_map(static fn (StateSlot $slot): int => 1 + ($slot->size()->cType() === 'uint8_t' ? 1 : 2), $this->own->slots));

        return ($this->heard === [] ? 0 : ($this->ends + 1) * $this->bytes + self::MESSAGE_BYTES * CWholeState::mostMessages($this->heard, $this->endpoint)) + ($own === 0 ? 0 : $own + 1);
    }

    /** @return int bytes of program on an 8-bit board, about */
    public function programBytes(): int
    {
        $heard = array_sum(array_map(fn (WholeState $state): int => 60 + 70 * count($state->heardBy($this->endpoint)) + 12 * count($state->slots), $this->heard));

        return ($this->heard === [] ? 0 : 240 + $heard) + ($this->own->slots === [] ? 0 : 90 + 76 * count($this->own->slots));
    }

    /** @return list<string> */
    private function from(string $prefix): array
    {
        $lower = strtolower($prefix);
        $proven = $this->settings->proven;
        $at = PacketFrame::HEAD_BYTES;
        $cases = [];
        foreach ($this->heard as $state) {
            $cases[] = "    case {$state->number}:";
            $cases[] = "        read = {$lower}_".CWholeState::nameOf($state)."_hear(bytes + {$at}, fresh ? 0 : was + {$at}, heard, &count);";
            $cases[] = '        break;';
        }

        return [
            "#define {$prefix}_HEARD_MOST ".CWholeState::mostMessages($this->heard, $this->endpoint).' /* messages that one frame comes to at most */', '',
            "/* A frame of {$this->name} as messages, what was missed before it among them; how many. 0 when it is none".($proven ? ', nothing proves it (the address is that of the pipe it came in on)' : '').' or came before. past begins with zeros. */',
            "static inline uint8_t node_from_{$lower}(const uint8_t *bytes, uint8_t length".($proven ? ", const uint8_t address[{$prefix}_ADDRESS_BYTES], uint32_t last[{$prefix}_SENDERS + 1]" : '').", uint8_t past[{$prefix}_SENDERS + 1][{$prefix}_FRAME_BYTES], struct node_message heard[{$prefix}_HEARD_MOST])", '{',
            "    struct {$lower}_frame frame;", '    uint8_t count = 0, same = 1, read = 0, fresh, n;', '    uint8_t *was;',
            '    if (!'.($proven ? "{$lower}_frame_open(&frame, bytes, length, address, last)" : "{$lower}_frame_decode(&frame, bytes, length)")." || frame.sender == 0 || frame.sender > {$prefix}_SENDERS) {", '        return 0;', '    }',
            '    was = past[frame.sender];',
            "    for (n = 0; n < {$prefix}_FRAME_BYTES; n++) {", '        same &= was[n] == bytes[n];', '    }', '    if (same) {', '        return 0;', '    }',
            '    /* A sender that has begun anew since does not go on counting from there. */',
            '    fresh = was[0] == 0 || (bytes[1] < 128 && (was[1] >= 128 || bytes[1] <= was[1]));',
            '    switch (frame.sender) {', ...$cases, '    default:', '        break;', '    }',
            "    for (n = 0; read && n < {$prefix}_FRAME_BYTES; n++) {", '        was[n] = bytes[n];', '    }', '    return count;', '}', '',
        ];
    }

    /** @return list<string> */
    private function to(string $prefix, CWholeState $writes): array
    {
        $lower = strtolower($prefix);
        $proven = $this->settings->proven;

        return [
            "/* A frame of {$this->name} to the address of node, and 1; 0 when there is nothing that it was not told. With anyway it is made all the same: what was lost is made up so.".($this->settings->sends() > 1 ? " Send it {$prefix}_SENDS times, a few milliseconds apart." : '').' */',
            "static inline uint8_t node_to_{$lower}(struct {$lower}_saying *saying, uint8_t node, uint8_t anyway".($proven ? ", uint32_t counter, const uint8_t address[{$prefix}_ADDRESS_BYTES]" : '').", uint8_t bytes[{$prefix}_FRAME_BYTES])", '{',
            "    struct {$lower}_frame frame;", ...$writes->choosing($this->own),
            "    frame.sender = {$prefix}_SENDER;", '    frame.sequence = saying->sequence;', '    saying->sequence = saying->sequence == 255 ? 128 : (uint8_t)(saying->sequence + 1);',
            ...($proven ? ['    frame.counter = counter;', '    frame.tag = 0;'] : []),
            "    {$lower}_frame_encode(&frame, bytes);", "    {$lower}_state_encode(&said, bytes + ".PacketFrame::HEAD_BYTES.');',
            ...($proven ? ["    {$lower}_frame_seal(bytes, address);"] : []), '    return 1;', '}', '',
        ];
    }
}
