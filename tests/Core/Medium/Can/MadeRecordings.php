<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Can;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Medium\Can\Recording;

/** A bus that is made up, with all that hides a bit: counters, checks, noise, what wanders, what blinks. */
final class MadeRecordings
{
    public readonly int $id;

    public readonly int $place;

    private readonly Randomizer $chance;

    /** @var array<int, array{period: int, bytes: int, fields: list<array<string, int>>, check: string}> */
    private array $senders = [];

    /** @var array<string, int> how fields stand */
    private array $state = [];

    public function __construct(int $seed)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
        foreach (range(1, $this->chance->getInt(6, 14)) as $number) {
            $extended = $this->chance->getInt(0, 4) === 0;
            $id = $extended ? $this->chance->getInt(1, 0x1FFF_FFFF) | Recording::EXTENDED : 16 * $number + $this->chance->getInt(0, 15);
            $this->senders[$id] = ['period' => [20_000, 50_000, 100_000, 200_000, 500_000][$this->chance->getInt(0, 4)], 'bytes' => $this->chance->getInt(4, 8), 'fields' => [], 'check' => ['', '', 'xor', 'sum', 'crc'][$this->chance->getInt(0, 4)]];
        }
        $ids = array_keys($this->senders);
        $this->id = $ids[$this->chance->getInt(0, count($ids) - 1)];
        $free = [];
        foreach ($this->senders as $id => $sender) {
            $last = $sender['bytes'] - ($sender['check'] === '' ? 0 : 1);
            for ($byte = 0; $byte < $last; $byte++) {
                $kind = $id === $this->id && $byte === 1 ? 4 : $this->chance->getInt(0, 7);
                $at = 8 * $byte;
                match ($kind) {
                    // A counter in the low or the high half, a slow clock over two bytes, a figure that wanders, flags of which one blinks, noise, or nothing.
                    0 => $this->senders[$id]['fields'][] = ['kind' => 0, 'at' => $at + 4 * $this->chance->getInt(0, 1), 'bits' => 4],
                    1 => $this->senders[$id]['fields'][] = ['kind' => 1, 'at' => $at, 'bits' => 8],
                    2 => $this->senders[$id]['fields'][] = ['kind' => 2, 'at' => $at, 'bits' => 8],
                    3 => $this->senders[$id]['fields'][] = ['kind' => 3, 'at' => $at + $this->chance->getInt(0, 7), 'bits' => 1],
                    5 => $this->senders[$id]['fields'][] = ['kind' => 5, 'at' => $at + $this->chance->getInt(0, 7), 'bits' => 1],
                    default => $this->state["{$id} still {$byte}"] = $this->chance->getInt(0, 255),
                };
            }
            if ($id === $this->id) {
                $free = range(8, 15);
            }
        }
        $this->place = $free[$this->chance->getInt(0, 7)];
        foreach (array_keys($this->senders) as $id) {
            foreach (range(0, 7) as $byte) {
                $this->state["{$id} still {$byte}"] ??= 0;
            }
            $this->state["{$id} clock"] = $this->chance->getInt(0, 60_000);
            $this->state["{$id} level"] = $this->chance->getInt(20, 230);
        }
    }

    /** @return Randomizer what else is left to chance */
    public function chance(): Randomizer
    {
        return $this->chance;
    }

    /**
     * @param  callable(int): bool  $on  whether the thing is on, by microseconds
     * @param  list<int>  $marksUs
     */
    public function record(int $lengthUs, callable $on, array $marksUs = []): Recording
    {
        $frames = [];
        foreach ($this->senders as $id => $sender) {
            for ($us = $this->chance->getInt(0, $sender['period']); $us < $lengthUs; $us += $sender['period'] + $this->chance->getInt(-500, 500)) {
                $frames[] = [$us, $id, $this->frame($id, $us, $on($us))];
            }
        }
        usort($frames, static fn (array $one, array $other): int => $one[0] <=> $other[0]);

        return new Recording(array_column($frames, 0), array_column($frames, 1), array_column($frames, 2), $marksUs);
    }

    private function frame(int $id, int $us, bool $on): string
    {
        $sender = $this->senders[$id];
        $bytes = [];
        for ($byte = 0; $byte < $sender['bytes']; $byte++) {
            $bytes[] = $this->state["{$id} still {$byte}"];
        }
        foreach ($sender['fields'] as $field) {
            $key = "{$id} {$field['at']}";
            $value = $this->state[$key] ?? 0;
            $value = match ($field['kind']) {
                0, 1 => $value + 1,
                2 => $this->chance->getInt(0, 3) === 0 ? $this->state["{$id} level"] = max(0, min(255, $this->state["{$id} level"] + $this->chance->getInt(-2, 2))) : $this->state["{$id} level"],
                3 => intdiv($us, 500_000) % 2,
                default => $this->chance->getInt(0, 9) === 0 ? 1 : 0,
            };
            $this->state[$key] = $value;
            $byte = intdiv($field['at'], 8);
            $mask = ((1 << $field['bits']) - 1) << ($field['at'] % 8);
            $bytes[$byte] = ($bytes[$byte] & ~$mask) | (($value << ($field['at'] % 8)) & $mask);
        }
        if ($id === $this->id) {
            $byte = intdiv($this->place, 8);
            $bytes[$byte] = ($bytes[$byte] & ~(1 << $this->place % 8)) | ($on ? 1 << $this->place % 8 : 0);
        }
        $last = $sender['bytes'] - 1;
        $rest = array_slice($bytes, 0, $last);
        $bytes[$last] = match ($sender['check']) {
            'xor' => array_reduce($rest, static fn (int $sum, int $one): int => $sum ^ $one, 0x5A),
            'sum' => (array_sum($rest) + $id) & 0xFF,
            'crc' => self::crc($rest),
            default => $bytes[$last],
        };

        return implode('', array_map(chr(...), $bytes));
    }

    /** @param  list<int>  $bytes */
    private static function crc(array $bytes): int
    {
        $crc = 0xFF;
        foreach ($bytes as $byte) {
            $crc ^= $byte;
            for ($bit = 0; $bit < 8; $bit++) {
                $crc = ($crc & 0x80) !== 0 ? (($crc << 1) ^ 0x1D) & 0xFF : $crc << 1;
            }
        }

        return $crc;
    }
}
