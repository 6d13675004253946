<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use LogicException;
use Rundfunk\Plan\SupplyFrom;
use Rundfunk\Shape\Values;

/** A class of controller board. */
final readonly class Board
{
    /**
     * @param  array<string, BoardPin>  $pins  by name, in the order they are marked
     * @param  list<Rail>  $rails
     * @param  list<string>  $media  media for which it needs no module
     */
    public function __construct(
        public string $key,
        public string $name,
        public float $logicV,
        public float $clockMhz,
        public bool $fiveVoltTolerant,
        public PinCurrent $pinCurrent,
        public array $rails,
        public array $pins,
        public string $basis,
        public array $media = [],
    ) {
    }

    public static function from(Values $values): self
    {
        $pins = [];
        foreach ($values->each('pins') as $index => $pin) {
            $pins[$pin->text('name')] = BoardPin::from($pin, $index);
        }
        $current = $values->within('pinCurrent') ?? throw new LogicException('A board without pin currents.');

        return new self(
            $values->text('key'),
            $values->text('name'),
            $values->number('logicV'),
            $values->number('clockMhz'),
            $values->flag('fiveVoltTolerant'),
            PinCurrent::from($current),
            array_map(Rail::from(...), $values->each('rails')),
            $pins,
            $values->text('basis'),
            $values->texts('media'),
        );
    }

    /** It is on such a link without a module. */
    public function carries(string $medium): bool
    {
        return in_array($medium, $this->media, true);
    }

    public function pin(string $name): ?BoardPin
    {
        return $this->pins[$name] ?? null;
    }

    /** The rail that a module fed so hangs on, if it is one of this board's. */
    public function rail(?SupplyFrom $supply): ?Rail
    {
        foreach ($this->rails as $rail) {
            if ($rail->supply === $supply) {
                return $rail;
            }
        }

        return null;
    }

    /**
     * @param  string  $bus  such as "spi"
     * @return list<string> such as "spi0", "spi1"
     */
    public function buses(string $bus): array
    {
        $found = [];
        foreach ($this->pins as $pin) {
            foreach ($pin->can as $can) {
                if (preg_match('/^('.$bus.'\d)\./', $can, $match) === 1) {
                    $found[$match[1]] = true;
                }
            }
        }
        ksort($found);

        return array_keys($found);
    }
}
