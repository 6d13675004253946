<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Shape\Values;

final readonly class BoardPin
{
    /**
     * @param  list<string>  $can  such as "digital-out", "pwm", "spi0.sck"
     * @param  Level|null  $strap  the level it must have at power-up for the board to start
     * @param  string|null  $outputWhile  the bus whose use forbids this pin to be an input
     * @param  int  $number  as programs name it
     * @param  bool  $hasPullUp  the chip can hold it high by itself
     * @param  string|null  $offeredBy  the module that has it, where it is not the board's own
     * @param  int|null  $header  where it comes out on the board's header, where that is counted otherwise than programs count
     * @param  PinCurrent|null  $current  what it may carry, where that is not as all of its board
     * @param  int|null  $pullUpOhm  a resistor on the board that always does
     */
    public function __construct(
        public string $name,
        public int $index,
        public array $can,
        public bool $console = false,
        public ?Level $strap = null,
        public bool $led = false,
        public string $note = '',
        public ?string $outputWhile = null,
        public int $number = 0,
        public bool $hasPullUp = true,
        public ?int $pullUpOhm = null,
        public ?string $offeredBy = null,
        public PinStart $start = new PinStart(PinState::Floats, PinState::Floats, PinState::Floats),
        public ?int $header = null,
        public ?PinCurrent $current = null,
    ) {
    }

    /** @param  PinStart|null  $usual  what the board's pins do at its start unless they say otherwise */
    public static function from(Values $values, int $index, ?PinStart $usual = null): self
    {
        return new self(
            $values->text('name'),
            $index,
            $values->texts('can'),
            $values->has('console'),
            $values->choiceOrNull('strap', Level::class),
            $values->has('led'),
            $values->textOrNull('note') ?? '',
            $values->textOrNull('outputWhile'),
            $values->wholeOrNull('number') ?? (int) preg_replace('/\D/', '', $values->text('name')),
            ! $values->has('noPullUp'),
            $values->wholeOrNull('pullUpOhm'),
            null,
            PinStart::from($values->within('start'), $usual),
            $values->wholeOrNull('header'),
        );
    }

    public function can(string $what): bool
    {
        return in_array($what, $this->can, true);
    }

    /** A terminal that wants "spi.sck" is served by "spi0.sck" of any bus. */
    public function serves(string $need): bool
    {
        if (! str_contains($need, '.')) {
            return $this->can($need);
        }
        [$bus, $line] = explode('.', $need);
        foreach ($this->can as $can) {
            if (str_starts_with($can, $bus) && str_ends_with($can, '.'.$line)) {
                return true;
            }
        }

        return false;
    }

    /** How many things it can do beyond plain input and output: what is wasted when a plain thing takes it. */
    public function talents(): int
    {
        return count(array_diff($this->can, ['digital-in', 'digital-out']));
    }
}
