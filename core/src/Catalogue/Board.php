<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use LogicException;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Shape\Values;

/** A class of controller board. */
final readonly class Board
{
    /**
     * @param  array<string, BoardPin>  $pins  by name, in the order they are marked
     * @param  list<Rail>  $rails
     * @param  list<string>  $media  media for which it needs no module
     * @param  list<BoardInput>  $inputs  where it can be fed
     * @param  int  $memoryKb  for a program's data
     * @param  int|null  $analogueBits  how finely its converter reads a voltage; null where it has none
     * @param  list<Timer>  $timers  where two signals may want the same; none where each pin has its own
     * @param  bool  $floatsAsleep  its pins let go of everything in deep sleep
     * @param  bool  $pixelsBlock  nothing is heard while it writes an addressable strip
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
        public array $media,
        public OwnCurrent $own,
        public array $inputs,
        public BoardLevels $levels,
        public int $memoryKb,
        public array $timers = [],
        public bool $pixelsBlock = false,
        public ?int $analogueBits = null,
        public bool $floatsAsleep = false,
    ) {
    }

    public static function from(Values $values): self
    {
        $usual = PinStart::from($values->within('start'), null);
        $pins = [];
        foreach ($values->each('pins') as $index => $pin) {
            $pins[$pin->text('name')] = BoardPin::from($pin, $index, $usual);
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
            OwnCurrent::from($values->within('own') ?? throw new LogicException('A board that takes no current.')),
            array_map(BoardInput::from(...), $values->each('inputs')),
            BoardLevels::from($values->within('levels') ?? throw new LogicException('A board without levels.')),
            $values->whole('memoryKb'),
            array_map(Timer::from(...), $values->each('timers')),
            $values->has('pixelsBlock'),
            $values->wholeOrNull('analogueBits'),
            $values->has('floatsAsleep'),
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

    /** @param  list<BoardPin>  $more  of expanders; a pin of its own by the same name goes before */
    public function with(array $more): self
    {
        $pins = $this->pins;
        foreach ($more as $pin) {
            $pins[$pin->name] ??= $pin;
        }

        return new self($this->key, $this->name, $this->logicV, $this->clockMhz, $this->fiveVoltTolerant, $this->pinCurrent, $this->rails, $pins, $this->basis, $this->media, $this->own, $this->inputs, $this->levels, $this->memoryKb, $this->timers, $this->pixelsBlock, $this->analogueBits, $this->floatsAsleep);
    }

    /** The timer that makes the PWM of a pin; null where that has one of its own. */
    public function timerOf(BoardPin $pin): ?Timer
    {
        foreach ($this->timers as $timer) {
            if (in_array($pin->name, $timer->pins, true)) {
                return $timer;
            }
        }

        return null;
    }

    /** @param  string  $class  of a supply: "board-5v" */
    public function rail(string $class): ?Rail
    {
        foreach ($this->rails as $rail) {
            if ($rail->supply === $class) {
                return $rail;
            }
        }

        return null;
    }

    public function input(?FeedsAt $at): ?BoardInput
    {
        foreach ($this->inputs as $input) {
            if ($input->at === $at) {
                return $input;
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
