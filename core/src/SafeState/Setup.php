<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

use Rundfunk\Catalogue\InputKind;
use Rundfunk\Catalogue\PinStart;
use Rundfunk\Plan\AtStart;
use Rundfunk\Plan\ContactForm;
use Rundfunk\Plan\SecondBreak;

/**
 * All that decides what an output's load does in every phase: pin, pulls, driver, coil, contact, supplies, program.
 *
 * @phpstan-type Otherwise array{levelFirst?: bool, atStart?: AtStart, linkLoss?: LinkLoss, pullUpOhm?: float, pullDownOhm?: float, contact?: ContactForm, signalDiesWithBoard?: bool, signalV?: float, driver?: bool, watchdog?: bool, secondBreak?: SecondBreak}
 */
final readonly class Setup
{
    /**
     * @param  bool  $activeLow  the terminal itself switches on by a low, whatever is before it
     * @param  bool  $driver  a transistor before the terminal turns the signal over
     * @param  bool  $keepsState  it stays as it was put, without power too
     * @param  bool  $changeover  its contact has a normally closed side
     * @param  bool  $coil  it has a coil, or what stands for one, which wants power of its own
     * @param  PinStart  $start  what the pin does before the program
     * @param  bool  $onExpander  it is a pin of an expander, which keeps its outputs when the board starts anew
     * @param  bool  $floatsUntilWritten  the expander lets go of its outputs until the first write
     * @param  float  $logicV  what a high of the pin is
     * @param  float  $signalV  what feeds the signal side
     * @param  float|null  $fixedUpOhm  a resistor on the board that always holds the pin up
     * @param  float|null  $pullUpOhm  at the terminal, to the signal supply
     * @param  float|null  $pullDownOhm  at the terminal, to ground
     * @param  float|null  $shifterOhm  to the signal supply behind a level shifter, which holds its terminal high whenever its pin does not pull it low; null where there is none
     * @param  bool  $logicOnly  the board can have power while what it switches with has none
     * @param  bool  $coilsOnly  what it switches with can have power while the board has none
     * @param  bool  $signalDiesWithBoard  the signal side has no power either when the board has none
     * @param  float  $ledDropV  what the diode of such an input keeps for itself
     */
    public function __construct(
        public string $pin,
        public InputKind $input,
        public bool $activeLow,
        public bool $driver,
        public bool $keepsState,
        public bool $changeover,
        public bool $coil,
        public PinStart $start,
        public bool $onExpander,
        public bool $floatsUntilWritten,
        public float $logicV,
        public float $signalV,
        public ?float $fixedUpOhm,
        public ?float $pullUpOhm,
        public ?float $pullDownOhm,
        public bool $logicOnly,
        public bool $coilsOnly,
        public bool $signalDiesWithBoard,
        public float $ledDropV,
        public ContactForm $contact,
        public bool $levelFirst,
        public AtStart $atStart,
        public SecondBreak $secondBreak,
        public bool $watchdog,
        public LinkLoss $linkLoss,
        public ?float $shifterOhm = null,
    ) {
    }

    /** @param  Otherwise  $otherwise */
    public function with(array $otherwise): self
    {
        return new self(
            $this->pin,
            $this->input,
            $this->activeLow,
            $otherwise['driver'] ?? $this->driver,
            $this->keepsState,
            $this->changeover,
            $this->coil,
            $this->start,
            $this->onExpander,
            $this->floatsUntilWritten,
            $this->logicV,
            $otherwise['signalV'] ?? $this->signalV,
            $this->fixedUpOhm,
            $otherwise['pullUpOhm'] ?? $this->pullUpOhm,
            $otherwise['pullDownOhm'] ?? $this->pullDownOhm,
            $this->logicOnly,
            $this->coilsOnly,
            $otherwise['signalDiesWithBoard'] ?? $this->signalDiesWithBoard,
            $this->ledDropV,
            $otherwise['contact'] ?? $this->contact,
            $otherwise['levelFirst'] ?? $this->levelFirst,
            $otherwise['atStart'] ?? $this->atStart,
            $otherwise['secondBreak'] ?? $this->secondBreak,
            $otherwise['watchdog'] ?? $this->watchdog,
            $otherwise['linkLoss'] ?? $this->linkLoss,
            $this->shifterOhm,
        );
    }

    /** A low of the pin gives the coil current. */
    public function drawsOnLow(): bool
    {
        return $this->activeLow !== $this->driver;
    }

    /** The pin is low while the load is off, so long as the program runs. */
    public function restsLow(): bool
    {
        return $this->drawsOnLow() === ($this->contact === ContactForm::NormallyClosed);
    }
}
