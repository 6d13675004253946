<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Plan\PinUse;
use Rundfunk\Shape\Values;

/** One signal terminal of a module. */
final readonly class Terminal
{
    /** What a report says of a key or an axis needs no pin: the report's own wires bring it. */
    public const REPORTED_KEY = 'report.key';

    public const REPORTED_AXIS = 'report.axis';

    /**
     * @param  string  $needs  what the pin must be able to do: "digital-out", "analogue", "spi.sck"
     * @param  string|null  $carries  "control" or "output": such a terminal needs a pin only when one is on it
     * @param  bool  $shared  several controls may be on it, as the readings of one sensor
     * @param  bool  $open  it is pulled low or let go, never driven high
     * @param  bool  $contact  a bare contact to ground, which nothing holds high but a pull-up
     * @param  int|null  $pullUpOhm  the resistor that it wants to its supply
     * @param  string|null  $with  the channel that it belongs to: it needs a pin when something is on that
     * @param  int|null  $seriesOhm  the resistor that it wants in its wire
     * @param  float|null  $drawsMa  what it takes from the pin, where it lives on that and no supply
     * @param  float|null  $diodeV  what a diode keeps for itself that the pin lights by itself, through the next
     * @param  int|null  $diodeOhm  the resistor before that diode
     */
    public function __construct(
        public string $name,
        public string $needs,
        public bool $optional,
        public ?string $carries,
        public ?Pull $pulls,
        public string $doc,
        public bool $shared = false,
        public bool $open = false,
        public ?int $pullUpOhm = null,
        public bool $contact = false,
        public ?string $with = null,
        public ?Signal $signal = null,
        public ?int $seriesOhm = null,
        public ?float $drawsMa = null,
        public ?float $diodeV = null,
        public ?int $diodeOhm = null,
    ) {
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('name'),
            $values->text('needs'),
            $values->has('optional'),
            $values->textOrNull('carries'),
            $values->choiceOrNull('pulls', Pull::class),
            $values->text('doc'),
            $values->has('shared'),
            $values->has('open'),
            $values->wholeOrNull('pullUpOhm'),
            $values->has('contact'),
            $values->textOrNull('with'),
            $values->choiceOrNull('signal', Signal::class) ?? ($values->text('needs') === 'pwm' ? Signal::Pwm : null),
            $values->wholeOrNull('seriesOhm'),
            $values->numberOrNull('drawsMa'),
            $values->numberOrNull('diodeV'),
            $values->wholeOrNull('diodeOhm'),
        );
    }

    /** @return float|null milliamperes that what is there lives on from a pin that gives so much; null where it has a supply */
    public function livesOnMa(float $highV): ?float
    {
        return $this->diodeV === null || $this->diodeOhm === null ? $this->drawsMa : max(0.0, $highV - $this->diodeV) / $this->diodeOhm * 1000;
    }

    /** Whether it says a position, rather than on or off. */
    public function isAxis(): bool
    {
        return $this->needs === 'analogue' || $this->needs === self::REPORTED_AXIS;
    }

    /** The same, where something besides holds its pin while nothing drives it. */
    public function pulledBy(?Pull $pull): self
    {
        return $pull === null || $pull === $this->pulls ? $this : new self($this->name, $this->needs, $this->optional, $this->carries, $pull, $this->doc, $this->shared, $this->open, $this->pullUpOhm, $this->contact, $this->with, $this->signal, $this->seriesOhm, $this->drawsMa, $this->diodeV, $this->diodeOhm);
    }

    /** Whether it hangs on a pin: a key of a pad that tells of all its keys on one bus has none of its own. */
    public function hasPin(): bool
    {
        return $this->needs !== self::REPORTED_KEY && $this->needs !== self::REPORTED_AXIS;
    }

    /** Whether the board says something by it, rather than hears. */
    public function isDriven(): bool
    {
        return in_array($this->needs, ['digital-out', 'pwm', 'spi.sck', 'spi.mosi', 'uart.tx', 'can.tx'], true);
    }

    /** A relay or a key, or which way a motor turns: it can wait for a bus, as what is timed or selected by cannot. */
    public function isSlow(): bool
    {
        return $this->signal === null && ($this->contact || $this->with !== null || ($this->carries === 'output' && $this->needs === 'digital-out'));
    }

    /** What a program may make or read itself, on any plain pin: a serial line, an infrared carrier. */
    public function canBeSoftware(): bool
    {
        return str_starts_with($this->needs, 'uart.') || $this->signal === Signal::Carrier;
    }

    /** Whether the program makes its signal on a wire: what a file says of anything else means nothing. */
    public function isBySoftware(?PinUse $use): bool
    {
        return $use?->bySoftware === true && $this->canBeSoftware();
    }

    /** What the pin of a wire must be able to do for it. */
    public function asks(?PinUse $use): string
    {
        return match (true) {
            ! $this->isBySoftware($use) => $this->needs,
            $this->needs === 'uart.rx' => 'digital-in',
            default => 'digital-out',
        };
    }

    /** Both ends pull it low, and a resistor holds it high: nothing that stands in the wire may have a direction. */
    public function goesBothWays(): bool
    {
        return $this->pullUpOhm !== null || str_starts_with($this->needs, 'i2c.');
    }

    /** Several modules may be on one such line. A serial port's joins two ends and no third. */
    public function sharesBus(): bool
    {
        return str_starts_with($this->needs, 'spi.') || str_starts_with($this->needs, 'i2c.');
    }

    public function onBus(): bool
    {
        return str_contains($this->needs, '.');
    }
}
