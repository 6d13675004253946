<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Shape\Values;

/**
 * What a bought controller says when it is polled, byte by byte. It counts only where the bytes that prove it are there: with
 * nothing attached all bytes read 255, which would be every stick hard over.
 */
final readonly class ReportForm
{
    /**
     * @param  int  $bytes  of one exchange, the asking and the answer together
     * @param  list<int>  $ask  what is sent meanwhile, byte by byte
     * @param  int  $pollMs  how often it is asked
     * @param  int  $clockKhz  the fastest clock it follows
     * @param  bool  $leastFirst  the least significant bit of each byte goes first
     * @param  bool  $keysLow  a key that is pressed reads 0
     * @param  array<int, list<int>>  $proofs  by byte, what it may be where the report counts
     * @param  array<array-key, array{byte: int, bit: int}>  $keys  by name, which PHP makes a number of where it is a figure
     * @param  array<array-key, int>  $axes  byte by name; 0 to 255
     */
    public function __construct(
        public int $bytes,
        public array $ask,
        public int $pollMs,
        public int $clockKhz,
        public bool $leastFirst,
        public bool $keysLow,
        public array $proofs,
        public array $keys,
        public array $axes,
    ) {
    }

    /** What an axis reads when it is let go. */
    public const MIDDLE = 128;

    public const MOST = 255;

    public static function from(Values $values): self
    {
        $bytes = $values->whole('bytes');
        // What an own class places beyond its last byte is not there.
        $within = static fn (string $list): array => array_filter($values->each($list), static fn (Values $one): bool => $one->whole('byte') < $bytes);
        $proofs = $keys = $axes = [];
        foreach ($within('proofs') as $proof) {
            $proofs[$proof->whole('byte')] = $proof->wholes('is');
        }
        foreach ($within('keys') as $key) {
            $keys[$key->text('name')] = ['byte' => $key->whole('byte'), 'bit' => $key->whole('bit')];
        }
        foreach ($within('axes') as $axis) {
            $axes[$axis->text('name')] = $axis->whole('byte');
        }

        return new self($bytes, array_pad(array_slice($values->wholes('ask'), 0, $bytes), $bytes, 0), $values->whole('pollMs'), $values->whole('clockKhz'), $values->has('leastFirst'), $values->has('keysLow'), $proofs, $keys, $axes);
    }

    /**
     * @param  string  $bytes  as they came
     * @return array<array-key, int>|null by name: a key 1 while it is pressed, an axis 0 to 255; null when the link to it is lost
     */
    public function read(string $bytes): ?array
    {
        // What nothing proves never counts: nothing attached would be sticks hard over.
        if (strlen($bytes) !== $this->bytes || $this->proofs === []) {
            return null;
        }
        foreach ($this->proofs as $byte => $may) {
            if (! in_array(ord($bytes[$byte]), $may, true)) {
                return null;
            }
        }
        $read = [];
        foreach ($this->keys as $name => ['byte' => $byte, 'bit' => $bit]) {
            $read[$name] = (ord($bytes[$byte]) >> $bit & 1) ^ ($this->keysLow ? 1 : 0);
        }
        foreach ($this->axes as $name => $byte) {
            $read[$name] = ord($bytes[$byte]);
        }

        return $read;
    }

    public function names(string $channel): bool
    {
        return isset($this->keys[$channel]) || isset($this->axes[$channel]);
    }

    /** @return array<array-key, Terminal> its keys and axes, as channels that need no pin of their own */
    public function channels(): array
    {
        $channels = [];
        foreach (array_keys($this->keys) as $name) {
            $channels[$name] = new Terminal((string) $name, Terminal::REPORTED_KEY, true, 'control', null, 'A key; 1 while it is pressed.');
        }
        foreach (array_keys($this->axes) as $name) {
            $channels[$name] = new Terminal((string) $name, Terminal::REPORTED_AXIS, true, 'control', null, '0 to 255, 128 when let go.');
        }

        return $channels;
    }
}
