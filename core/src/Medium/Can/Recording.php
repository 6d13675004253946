<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

/** What was heard on a bus, frame by frame, in the order in which it came. Kept in columns, for there are many. */
final readonly class Recording
{
    public const MOST_FRAMES = 200_000;

    /**
     * @param  list<int>  $atUs  microseconds from the first
     * @param  list<int>  $ids  with {@see self::EXTENDED} where of 29 bits
     * @param  list<string>  $data
     * @param  list<int>  $marksUs  moments at which whoever recorded it said "now"
     */
    public function __construct(public array $atUs, public array $ids, public array $data, public array $marksUs = [])
    {
    }

    public const EXTENDED = 0x8000_0000;

    public function count(): int
    {
        return count($this->ids);
    }

    public function lengthUs(): int
    {
        return $this->atUs === [] ? 0 : $this->atUs[count($this->atUs) - 1];
    }

    /** @return array<int, list<int>> which frames, by identifier, the lowest first */
    public function byId(): array
    {
        $by = [];
        foreach ($this->ids as $at => $id) {
            $by[$id][] = $at;
        }
        ksort($by);

        return $by;
    }

    public static function isExtended(int $id): bool
    {
        return ($id & self::EXTENDED) !== 0;
    }

    public static function bare(int $id): int
    {
        return $id & 0x1FFF_FFFF;
    }

    public static function hex(int $id): string
    {
        return CanMessage::hexOf(self::bare($id), self::isExtended($id));
    }
}
