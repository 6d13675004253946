<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

/** A start address as switches have it: nine of them, the first worth 1, the ninth 256. Two conventions are about, and a lamp's manual says which is its own. Common practice. */
final readonly class DipSwitches
{
    public const COUNT = 9;

    /** @param  bool  $plusOne  all switches down are address 1: the switches say one less than the address */
    public function __construct(public bool $plusOne)
    {
    }

    /** @return list<bool>|null the first switch first, true for on; null where they cannot say it */
    public function for(int $address): ?array
    {
        $value = $address - ($this->plusOne ? 1 : 0);
        if ($value < ($this->plusOne ? 0 : 1) || $value > $this->highest()) {
            return null;
        }

        return array_map(static fn (int $bit): bool => (($value >> $bit) & 1) === 1, range(0, self::COUNT - 1));
    }

    /** @param  list<bool>  $switches  the first switch first */
    public function address(array $switches): int
    {
        $value = 0;
        foreach ($switches as $bit => $on) {
            $value |= $on ? 1 << $bit : 0;
        }

        return $value + ($this->plusOne ? 1 : 0);
    }

    /** @return string "1 and 5 on" */
    public static function words(bool ...$switches): string
    {
        $on = array_map(static fn (int|string $at): string => (string) ((int) $at + 1), array_keys(array_filter($switches)));

        return match (count($on)) {
            0 => 'all off',
            1 => "{$on[0]} on",
            default => implode(', ', array_slice($on, 0, -1)).' and '.$on[count($on) - 1].' on',
        };
    }

    private function highest(): int
    {
        return (1 << self::COUNT) - 1;
    }
}
