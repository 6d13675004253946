<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use LogicException;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Role;
use Rundfunk\Shape\Values;

/** A class of module: what it needs and what it carries. */
final readonly class ModuleClass
{
    /**
     * @param  float  $heldMa  what it draws for hours while all in it that can be on is on
     * @param  array<string, Terminal>  $terminals  by name
     * @param  array<string, string>  $supplyTerminals  name → "supply", "ground", or "load" for what it switches
     * @param  string|null  $medium  the medium it is a radio or transceiver for
     * @param  Role|null  $role  what it can do on that medium; null when both
     * @param  array<string, bool|float|int|string|null>  $figures  what its medium wants to know of it besides
     * @param  string|null  $carries  the kind of control or output on its channels
     * @param  int|null  $i2cPullUpOhm  of the resistors it carries, one a line
     * @param  list<string>  $reads  units of what a sensor measures
     * @param  int|null  $bufferUf  the capacitor that it wants at its supply
     * @param  bool  $ownSupply  no pin of a board is to feed it: its peaks reset the board
     * @param  bool  $keepsState  what it switches stays as it was put, without power too
     * @param  string|null  $loadPer  the setting of its output that its currents are multiplied by
     * @param  list<string>  $offers  what each of the pins can do that it has for others
     * @param  int  $offered  how many it has
     * @param  PinCurrent|null  $offeredCurrent  what those may carry; null where that is not said, and they are taken for the board's
     * @param  bool  $tellsTime  it knows the time of day, without power too
     * @param  ReportForm|null  $report  what it says when it is polled, where its keys and sticks have no wires of their own
     * @param  Switching|null  $switches  what its outputs' contacts or semiconductors bear, where loads hang on them
     * @param  ThermistorCurve|null  $thermistor  how what it gives follows from the temperature
     * @param  ModuleLevels|null  $levels  of its signals, where it has any to speak of
     */
    public function __construct(
        public string $key,
        public string $name,
        public ModuleGroup $group,
        public ?string $medium,
        public float $minV,
        public float $maxV,
        public float $typicalMa,
        public float $heldMa,
        public float $peakMa,
        public ?float $maxPowerDbm,
        public bool $activeLow,
        public ?string $carries,
        public float $switchTypicalMs,
        public float $switchWorstMs,
        public array $terminals,
        public array $supplyTerminals,
        public string $advice,
        public string $basis,
        public ?Role $role = null,
        public array $figures = [],
        public ?ModuleLevels $levels = null,
        public array $reads = [],
        public ?int $i2cAddress = null,
        public ?int $i2cPullUpOhm = null,
        public ?int $bufferUf = null,
        public bool $ownSupply = false,
        public bool $keepsState = false,
        public ?string $loadPer = null,
        public int $offered = 0,
        public array $offers = [],
        public bool $tellsTime = false,
        public ?ReportForm $report = null,
        public ?Switching $switches = null,
        public ?ThermistorCurve $thermistor = null,
        public ?PinCurrent $offeredCurrent = null,
    ) {
    }

    public static function from(Values $values): self
    {
        $terminals = [];
        foreach ($values->each('terminals') as $terminal) {
            $terminals[$terminal->text('name')] = Terminal::from($terminal);
        }
        $supplies = [];
        foreach ($values->each('supplyTerminals') as $terminal) {
            $supplies[$terminal->text('name')] = $terminal->text('goes');
        }
        $supply = $values->within('supply') ?? throw new LogicException('A module without supply figures.');
        // Of a class that somebody described any may be the largest: none is believed to be less than what it holds in it.
        $typicalMa = $supply->number('typicalMa');
        $heldMa = max($typicalMa, $supply->numberOrNull('heldMa') ?? (self::staysOn($values) ? $supply->number('peakMa') : 0.0));
        $timing = $values->within('timing');
        $levels = $values->within('levels');

        return new self(
            $values->text('key'),
            $values->text('name'),
            $values->choice('group', ModuleGroup::class),
            $values->textOrNull('medium'),
            $supply->number('minV'),
            $supply->number('maxV'),
            $typicalMa,
            $heldMa,
            max($heldMa, $supply->number('peakMa')),
            $values->within('radio')?->number('maxPowerDbm'),
            $values->has('activeLow') && $values->flag('activeLow'),
            $values->textOrNull('carries'),
            $timing?->number('typicalMs') ?? 0.0,
            $timing?->number('worstMs') ?? 0.0,
            $terminals,
            $supplies,
            $values->text('advice'),
            $values->text('basis'),
            $values->choiceOrNull('role', Role::class),
            $values->settings('figures'),
            $levels === null ? null : ModuleLevels::from($levels),
            $values->texts('reads'),
            $values->within('i2c')?->whole('address'),
            $values->within('i2c')?->whole('pullUpOhm'),
            $values->wholeOrNull('bufferUf'),
            $values->has('ownSupply'),
            $values->has('keepsState'),
            $values->textOrNull('loadPer'),
            $values->within('offers')?->whole('count') ?? 0,
            $values->within('offers')?->texts('can') ?? [],
            $values->has('tellsTime'),
            ($report = $values->within('report')) === null ? null : ReportForm::from($report),
            ($switches = $values->within('switches')) === null ? null : Switching::from($switches),
            ($thermistor = $values->within('thermistor')) === null ? null : ThermistorCurve::from($thermistor),
            ($current = $values->within('offers')?->within('pinCurrent')) === null ? null : PinCurrent::from($current),
        );
    }

    /** Whether what it carries stays on for as long as it is told: a coil that holds, lights that are lit. Said of a class that does not say what it draws then. */
    private static function staysOn(Values $values): bool
    {
        return ! $values->has('keepsState') && OutputKind::tryFrom($values->textOrNull('carries') ?? '')?->staysAtItsPeak() === true;
    }

    /** What it draws at most it draws for hours too. */
    public function holdsItsPeak(): bool
    {
        return $this->heldMa === $this->peakMa;
    }

    public function terminal(string $name): ?Terminal
    {
        return $this->terminals[$name] ?? $this->report?->channels()[$name] ?? null;
    }

    /** It takes current from a supply, rather than from the pins it is on. */
    public function isFed(): bool
    {
        return in_array('supply', $this->supplyTerminals, true);
    }

    /** The terminal by which it is fed. */
    public function feedTerminal(): ?string
    {
        $name = array_search('supply', $this->supplyTerminals, true);

        return $name === false ? null : $name;
    }

    /** It has pins for others, as a shift register has. */
    public function isExpander(): bool
    {
        return $this->offered > 0;
    }

    /** It sends in bursts too short for any mean to show. */
    public function bursts(): bool
    {
        return isset($this->figures['burstA']);
    }

    /** @return list<Terminal> those that carry controls or outputs */
    public function channels(): array
    {
        return array_values(array_filter([...$this->terminals, ...$this->report?->channels() ?? []], static fn (Terminal $terminal): bool => $terminal->carries !== null));
    }

    /** Whether a control or output can sit on one of its terminals. */
    public function takes(Terminal $terminal, Control|Output $thing): bool
    {
        if ($thing instanceof Output) {
            return $terminal->carries === 'output' && $this->carries === $thing->kind->value;
        }
        if ($terminal->carries !== 'control' || ! $thing->kind->isWired()) {
            return false;
        }

        return ($thing->kind === ControlKind::Reading) === ($this->carries === 'reading')
            && ($thing->kind === ControlKind::Reading || ($thing->kind === ControlKind::Axis) === $terminal->isAxis());
    }

    /** It can serve an end of such a role on its medium. */
    public function serves(Role $role): bool
    {
        return $this->role === null || $this->role === $role;
    }

    public function amplified(): bool
    {
        return $this->maxPowerDbm !== null && $this->maxPowerDbm > 10.0;
    }
}
