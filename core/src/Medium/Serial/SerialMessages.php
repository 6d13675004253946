<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Behaviour\EndNumber;
use Rundfunk\Behaviour\FetchesReadings;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Behaviour\TakesMemory;
use Rundfunk\Behaviour\WritesMessages;
use Rundfunk\Medium\Serial\Bought\CBought;
use Rundfunk\Medium\Serial\Bought\Tables;
use Rundfunk\Medium\Serial\Line\CAnswering;
use Rundfunk\Medium\Serial\Line\CAsking;
use Rundfunk\Medium\Serial\Line\CStream;
use Rundfunk\Medium\Serial\Line\CTelling;
use Rundfunk\Medium\Serial\Line\LineEnd;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\CNames;

/** Frames as messages and back, and who speaks when: the whole of one end of a line, but for the bytes themselves. */
final readonly class SerialMessages implements FetchesReadings, TakesMemory, WritesMessages
{
    private const ENABLE = "\n * DE goes high before the first byte of what {l}_step gives, and low when the last bit of the last byte is out: who holds the pair silences all.\n * RE goes with it, and RO is let go meanwhile: switch on the pull-up of RXD, and drop what comes until DE is low.";

    public function messageLines(Plan $plan, Endpoint $endpoint, int $link, string $prefix, MessageNumbers $numbers): array
    {
        $line = SerialLine::of($plan, $plan->link($endpoint->linkId));
        if ($line->isBought()) {
            return self::bought($plan, $endpoint, $line, $link, $prefix, $numbers);
        }
        $own = SerialEnd::of($endpoint);
        $others = array_values(array_filter($line->ends, static fn (Endpoint $end): bool => $end->id !== $endpoint->id));
        if (! $line->isComplete() || $others === []) {
            return ['/* '.CNames::comment($plan->link($endpoint->linkId)->name).': the nodes on it have no ids yet, or nobody asks. */', ''];
        }
        $rests = array_map(static fn (Endpoint $end): int => SerialEnd::of($end)->restMs, $others);
        $parts = match (true) {
            $line->settings->topology !== Topology::Polled => [CTelling::STATE, CTelling::DOES],
            $own->asks => [CAsking::STATE, CAsking::DOES],
            default => [CAnswering::STATE, CAnswering::DOES],
        };
        $text = implode("\n", [
            CStream::TEXT,
            self::idOf($plan, $line),
            self::nodeOf($plan, $line),
            self::others($others),
            self::rests($rests),
            ...$parts,
        ]);

        $checkBytes = $line->settings->check->bytes();
        $named = strtr($text, [
            '{silent}' => (string) $line->silentMs(),
            '{enable}' => $line->settings->levels === Levels::Rs485 ? self::ENABLE : '',
            '{hears}' => $line->isToldTogether($endpoint) ? '1' : '0',
            '{ring}' => $line->settings->topology === Topology::Ring ? '1' : '0',
            '{whole}' => $checkBytes === 0 ? '1' : "frame->check == {l}_check(bytes, {L}_FRAME_BYTES - {$checkBytes})",
            '{unchecked}' => $checkBytes === 0 ? '' : "\n    frame->check = 0;",
            '{seal}' => $checkBytes === 0 ? '' : "\n    frame->check = {l}_check(bytes, {L}_FRAME_BYTES - {$checkBytes});\n    {l}_frame_encode(frame, bytes);",
        ]);

        return explode("\n", strtr($named, [
            '{l}' => strtolower($prefix), '{L}' => $prefix, '{name}' => CNames::comment($plan->link($endpoint->linkId)->name), '{link}' => (string) $link,
            '{others}' => (string) count($others),
        ]));
    }

    /** @return list<string> */
    private static function bought(Plan $plan, Endpoint $endpoint, SerialLine $line, int $link, string $prefix, MessageNumbers $numbers): array
    {
        $name = CNames::comment($plan->link($endpoint->linkId)->name);
        $tables = Tables::of($plan, $line, $numbers);
        if ($tables === null || $line->asker()?->id !== $endpoint->id) {
            return ["/* {$name}: nobody knows yet what the devices on it speak, or by which ids. */", ''];
        }

        // What is put in has names to be put in itself.
        $text = str_replace('{enable}', $line->settings->levels === Levels::Rs485 ? self::ENABLE : '', CBought::text($tables, $line));

        return explode("\n", strtr($text, [
            '{l}' => strtolower($prefix), '{L}' => $prefix, '{name}' => $name, '{link}' => (string) $link,
        ]));
    }

    public function fetched(Plan $plan, Endpoint $endpoint): array
    {
        $line = SerialLine::of($plan, $plan->link($endpoint->linkId));
        if (! $line->isBought() || ! $line->isComplete() || $line->asker()?->id !== $endpoint->id) {
            return [];
        }

        return array_merge(...array_map(static fn (Endpoint $end): array => Tables::readings($plan, $end, $line->protocols[$end->id]), $line->bought));
    }

    /** What does not answer is dead, and unknown. */
    public function noticesSilence(Plan $plan, Endpoint $endpoint, Control $control): bool
    {
        return true;
    }

    public function fetchedBy(Plan $plan, Endpoint $endpoint, Control $control, string $prefix): string
    {
        // What controls read comes first among the figures of a line, in this order.
        $at = array_search($control->id, array_map(static fn (Control $one): string => $one->id, $this->fetched($plan, $endpoint)), true);

        return strtolower($prefix).'_value(&line, '.(int) $at.'), of its struct '.strtolower($prefix).'_line';
    }

    /** The line's struct, field by field, see {@see CAsking}, {@see CAnswering} and {@see CTelling}; held to the 8-bit compiler by the tests. */
    public function memoryBytes(Plan $plan, Endpoint $endpoint, MessageNumbers $numbers): int
    {
        $line = SerialLine::of($plan, $plan->link($endpoint->linkId));
        if ($line->isBought()) {
            $tables = $line->asker()?->id === $endpoint->id ? Tables::of($plan, $line, $numbers) : null;

            return $tables === null ? 0 : CBought::memoryBytes($tables, $line);
        }
        if (! $line->isComplete()) {
            return 0;
        }
        $frame = SerialFrame::layout($line->settings)->lengthBytes;
        $others = count($line->ends) - 1;
        $queue = LineEnd::QUEUE_MOST * 5;

        return $frame + 1 + $queue + match (true) {
            $line->settings->topology !== Topology::Polled => 4 * $frame + 12 * $others + 12,
            $line->asker()?->id === $endpoint->id => 21 * $others + 13,
            default => $frame + 15,
        };
    }

    public function programBytes(Plan $plan, Endpoint $endpoint, MessageNumbers $numbers): int
    {
        $line = SerialLine::of($plan, $plan->link($endpoint->linkId));
        if ($line->isBought()) {
            $tables = $line->asker()?->id === $endpoint->id ? Tables::of($plan, $line, $numbers) : null;

            return $tables === null ? 0 : CBought::programBytes($tables);
        }

        return ! $line->isComplete() ? 0 : match (true) {
            $line->settings->topology === Topology::Pair => 1_500,
            $line->settings->topology === Topology::Ring => 1_700,
            $line->asker()?->id === $endpoint->id => 2_200,
            default => 1_050,
        };
    }

    /** Nodes that are told together go by the id that everybody hears. */
    private static function idOf(Plan $plan, SerialLine $line): string
    {
        $cases = array_map(static fn (Endpoint $end): string => '    case '.EndNumber::of($plan, $end).': return '.($line->isToldTogether($end) ? SerialEnd::EVERYBODY : SerialEnd::of($end)->station).';', $line->ends);

        return implode("\n", ['static inline uint8_t {l}_id_of(uint8_t node)', '{', '    switch (node) {', ...$cases, '    default: return 0;', '    }', '}', '']);
    }

    private static function nodeOf(Plan $plan, SerialLine $line): string
    {
        $cases = array_map(static fn (Endpoint $end): string => '    case '.SerialEnd::of($end)->station.': return '.EndNumber::of($plan, $end).';', $line->ends);

        return implode("\n", ['static inline uint8_t {l}_node_of(uint8_t id)', '{', '    switch (id) {', ...$cases, '    default: return 0;', '    }', '}', '']);
    }

    /** @param  non-empty-list<Endpoint>  $others */
    private static function others(array $others): string
    {
        $cases = array_map(static fn (int $at, Endpoint $end): string => "    case {$at}: return ".SerialEnd::of($end)->station.';', array_keys($others), $others);

        return implode("\n", ['#define {L}_OTHERS {others}', 'static inline uint8_t {l}_other(uint8_t at)', '{', '    switch (at) {', ...$cases, '    default: return 0;', '    }', '}', '']);
    }

    /** @param  list<int>  $rests */
    private static function rests(array $rests): string
    {
        $cases = [];
        foreach ($rests as $at => $restMs) {
            if ($restMs > 0) {
                $cases[] = "    case {$at}: return {$restMs}UL;";
            }
        }

        return implode("\n", ['/* How long what it is told takes to be done: the same is not told again before. */', 'static inline uint32_t {l}_takes_ms(uint8_t at)', '{', '    switch (at) {', ...$cases, '    default: return 0;', '    }', '}', '']);
    }
}
