<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels;

use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Catalogue\InputKind;
use Rundfunk\Check\Look;
use Rundfunk\Check\Wire;
use Rundfunk\Electrical\BaseResistor;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\OperationKind;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Power\Circuits\SignalSide;
use Rundfunk\Power\SupplyTree;
use Rundfunk\Shape\Values;
use WeakMap;

/** What is at the ends of a plan's wires, and what stands between. */
final readonly class Wiring
{
    /** From either side of a level shifter's transistor to the voltage of that side. Common practice. */
    public const SHIFTER_OHM = 10_000.0;

    /** What the base of a bipolar transistor keeps for itself. */
    private const BASE_V = 0.7;

    /** Of its supply, up to which logic takes a low for one: the least of what the catalogue has. */
    private const LOW_SHARE = 0.2;

    /** Less than this share of the resistor that a wire wants is none. */
    private const AS_NONE = 0.2;

    /** Before the base of a module's own transistor. Common practice. */
    private const BASE_KOHM = 1.0;

    /** @var WeakMap<Wire, array{WireLevels|null}> worked out once: four rules ask of every wire */
    private WeakMap $levels;

    /** @var WeakMap<Wire, list<Part>> a dozen rules ask of every wire, and nearly none has any */
    private WeakMap $parts;

    public function __construct(public Plan $plan, private Catalogue $catalogue, private SupplyTree $tree)
    {
        $this->levels = new WeakMap;
        $this->parts = new WeakMap;
    }

    /** Of the whole plan, worked out once a look. */
    public static function in(Look $look): self
    {
        return $look->once(self::class, static fn (): self => new self($look->plan, $look->catalogue, SupplyTree::in($look)));
    }

    public function levels(Wire $wire): ?WireLevels
    {
        $known = $this->levels[$wire] ?? null;
        if ($known === null) {
            $this->levels[$wire] = $known = [$this->workOut($wire)];
        }

        return $known[0];
    }

    private function workOut(Wire $wire): ?WireLevels
    {
        return WireLevels::of($wire, $this->catalogue->classOf($wire->module), $this->tree->signalVoltsOf($wire->module)?->nominalV, $this->plan->partsOf($wire->module));
    }

    /** How slowly a wire goes from one level to the other. */
    public function edge(Wire $wire): Edge
    {
        $class = $this->catalogue->classOf($wire->module);

        return Edge::of($wire, Between::of($this->partsAt($wire)), $class->levels->outHighOhm ?? 0.0, $class->switches?->input);
    }

    /** As it would be, were one part not there. */
    public function without(Part $part): self
    {
        return $this->after(Operation::remove(Part::kind(), $part->id));
    }

    /** As it would be after changes of parts. */
    public function after(Operation ...$operations): self
    {
        $draft = $this->plan->draft();
        foreach ($operations as $operation) {
            $part = $draft->find(Part::kind(), $operation->id);
            match (true) {
                $part === null => $draft->put(Part::from(new Values([...$operation->values, 'id' => $operation->id]))),
                $operation->op === OperationKind::Remove => $draft->drop($part),
                default => $draft->change($part, $operation->values),
            };
        }

        return new self($draft->plan(), $this->catalogue, $this->tree);
    }

    /** @return float|null ohms of the pull-up that a wire wants and lacks; null where it lacks none */
    public function missingPullUpOhm(Wire $wire): ?float
    {
        $wants = $wire->terminal->pullUpOhm ?? ($wire->terminal->contact && $wire->pin?->hasPullUp === false ? 10_000 : null);
        if ($wants === null) {
            return null;
        }

        return $this->has($wire, PartKind::PullUp) ? null : (float) $wants;
    }

    /** @return float|null ohms of the resistor that a wire wants in it and lacks; null where it lacks none */
    public function missingSeriesOhm(Wire $wire): ?float
    {
        $wants = $wire->terminal->seriesOhm;

        return $wants === null || Between::of($this->partsAt($wire))->seriesOhm >= self::AS_NONE * $wants ? null : (float) $wants;
    }

    /** @return PartKind|null what has to come between for the levels of a wire to fit, whatever pin it is on: a divider or a level shifter; null where they do */
    public function wantedBetween(Wire $wire): ?PartKind
    {
        $levels = $this->levelsOnceFed($wire);

        return $levels !== null && $levels->isWrong() ? LevelParts::fitting($this->plan, $levels)->between : null;
    }

    /** What nothing feeds yet, or the wrong thing, gets what the board's logic has, or more where it wants more. */
    private function levelsOnceFed(Wire $wire): ?WireLevels
    {
        $class = $this->catalogue->classOf($wire->module);
        $volts = $this->tree->voltsOf($wire->module)?->nominalV;
        $isFed = ! $class->isFed() || ($volts !== null && $volts >= $class->minV && $volts <= $class->maxV);

        return $isFed ? $this->levels($wire) : WireLevels::of($wire, $class, max($class->minV, min($class->maxV, $wire->board->logicV)), $this->plan->partsOf($wire->module));
    }

    public function feedTerminal(Module $module): ?string
    {
        return $this->catalogue->classOf($module)->feedTerminal();
    }

    /** @return float|null microfarads that a module wants at its supply and lacks */
    public function missingBufferUf(Module $module): ?float
    {
        $wants = $this->catalogue->classOf($module)->bufferUf;
        $has = array_sum(array_map(static fn (Part $part): float => $part->microfarads ?? 0.0, $this->tree->capacitorsAt($module)));

        return $wants === null || $has >= 0.4 * $wants ? null : (float) $wants;
    }

    /** @return float|null ohms to the base of the transistor that a pin wants before what it drives; null where it drives that alone, or already by one */
    public function missingBaseOhm(Wire $wire): ?float
    {
        if (! $this->isOverdrawn($wire)) {
            return null;
        }
        $base = new BaseResistor($wire->board->levels->ratedHighV, (float) self::livesOnMa($wire));

        return ($base->baseMa() ?? INF) <= $wire->pinCurrent()->advisedMa ? $base->chosenOhm() : null;
    }

    /** What lives on the pin alone takes more than that should give. */
    public function isOverdrawn(Wire $wire): bool
    {
        return (self::livesOnMa($wire) ?? 0.0) > $wire->pinCurrent()->advisedMa && ! $this->has($wire, PartKind::Driver);
    }

    /** @return float|null milliamperes from its pin that what is at the wire lives on; null where it has a supply */
    public static function livesOnMa(Wire $wire): ?float
    {
        return $wire->terminal->livesOnMa($wire->board->levels->highOutV);
    }

    /** What the pin of a wire gives or takes while what it works is on, with the parts between: milliamperes. */
    public function carriedMa(Wire $wire): float
    {
        if (! $wire->terminal->isDriven()) {
            return 0.0;
        }
        $byParts = array_sum(array_map(fn (Part $part): float => $this->takenMa($wire, $part) ?? 0.0, $this->partsAt($wire)));

        return $byParts + ($this->has($wire, PartKind::Driver, PartKind::Shifter) ? 0.0 : self::livesOnMa($wire) ?? $this->inputMa($wire));
    }

    /** What the input of a relay board and its like takes: a coupler's diode, or the base of a transistor. */
    private function inputMa(Wire $wire): float
    {
        $class = $this->catalogue->classOf($wire->module);

        return max(0.0, match ($class->switches?->input) {
            InputKind::LedToSupply => SignalSide::milliamperes($this->tree->signalVoltsOf($wire->module)->nominalV ?? $wire->board->logicV, $wire->board, $class->levels) ?? 0.0,
            InputKind::Base => ($wire->board->levels->highOutV - self::BASE_V) / self::BASE_KOHM,
            InputKind::Gate, null => 0.0,
        });
    }

    /** A part of one of these kinds is at a wire's terminal. */
    public function has(Wire $wire, PartKind ...$kinds): bool
    {
        foreach ($this->partsAt($wire) as $part) {
            if (in_array($part->kind, $kinds, true)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Part> at a wire's terminal */
    public function partsAt(Wire $wire): array
    {
        return $this->parts[$wire] ??= array_values(array_filter($this->plan->partsOf($wire->module), static fn (Part $part): bool => $part->terminal === $wire->terminal->name));
    }

    /**
     * What a part at a wire that the board works takes from its pin. Ohm's law: a base keeps 0.7 V.
     *
     * @return float|null milliamperes; null for a part that takes none, or does not say its figure
     */
    public function takenMa(Wire $wire, Part $part): ?float
    {
        $ohms = $part->ohms === null || ! $wire->terminal->isDriven() ? 0.0 : $part->ohms + ($part->kind === PartKind::Divider ? $part->lowerOhms ?? 0.0 : 0.0);
        $volts = match ($part->kind) {
            PartKind::Driver => max(0.0, $wire->board->levels->ratedHighV - self::BASE_V),
            PartKind::PullDown, PartKind::Divider => $wire->board->levels->highOutV,
            PartKind::PullUp => $this->tree->signalVoltsOf($wire->module)->nominalV ?? $wire->board->logicV,
            default => null,
        };

        return $volts === null || $ohms <= 0.0 ? null : $volts / $ohms * 1000;
    }

    /** @return float volts to which a pull-up at the wire pulls: what feeds the signal side of its module, or the board's own for one that nothing feeds */
    public function railV(Wire $wire): float
    {
        return $this->tree->signalVoltsOf($wire->module)->nominalV ?? $wire->board->logicV;
    }

    /** @return float|null milliamperes that a part asks of what gives the board its signal by this wire; null for a part that asks for none */
    public function askedMa(Wire $wire, Part $part): ?float
    {
        $highV = $wire->terminal->contact || $wire->terminal->pullUpOhm !== null ? null : $this->catalogue->classOf($wire->module)->levels?->outHighV($this->tree->signalVoltsOf($wire->module)?->nominalV);
        $ohms = ($part->ohms ?? 0.0) + ($part->kind === PartKind::Divider ? $part->lowerOhms ?? 0.0 : 0.0);
        $volts = match ($part->kind) {
            PartKind::PullUp => $this->railV($wire),
            PartKind::PullDown, PartKind::Divider => $highV,
            default => null,
        };

        // The module brings its own to an I²C bus, side by side with it; those of all others are summed by a rule of the bus.
        $ownOhm = $part->kind === PartKind::PullUp && str_starts_with($wire->terminal->needs, 'i2c.') ? $this->catalogue->classOf($wire->module)->i2cPullUpOhm : null;

        return $volts === null || $part->ohms === null || $ohms <= 0.0 ? null : $volts / $ohms * 1000 + ($ownOhm === null ? 0.0 : $volts / $ownOhm * 1000);
    }

    /** @return float volts at the pin of a wire from a bare contact to ground */
    public function contactV(Wire $wire, bool $closed): float
    {
        $insideOhm = $wire->pin?->hasPullUp === true ? $wire->pin->pullUpOhm ?? Edge::INSIDE_OHM : null;

        return Between::of($this->partsAt($wire))->atPinOfContactV($closed, $wire->board->logicV, $insideOhm);
    }

    /** What stands in a line that goes both ways is so large beside what holds it high that a low does not pass. */
    public function stopsLows(Wire $wire): bool
    {
        $between = Between::of($this->partsAt($wire));

        return $wire->terminal->goesBothWays() && $between->upOhm !== null && $between->seriesOhm / ($between->seriesOhm + $between->upOhm) > self::LOW_SHARE;
    }

    /** @return float|null milliamperes that what is at a driven wire lives on, or that light its coupler; null for an input that takes next to none */
    public function wantedMa(Wire $wire): ?float
    {
        $levels = $this->catalogue->classOf($wire->module)->levels;
        if (! $wire->terminal->isDriven()) {
            return null;
        }

        return $levels?->ledDropV === null ? self::livesOnMa($wire) : SignalSide::milliamperes($this->railV($wire), $wire->board, $levels);
    }

    /** @return float what is left of that behind the resistors in the wire */
    public function gottenMa(Wire $wire, float $wantsMa): float
    {
        $seriesOhm = Between::of($this->partsAt($wire))->seriesOhm;
        if ($seriesOhm <= 0.0) {
            return $wantsMa;
        }
        $ownOhm = match (true) {
            $this->catalogue->classOf($wire->module)->levels?->ledDropV !== null => SignalSide::SERIES_KOHM * 1000,
            $wire->terminal->diodeOhm !== null => (float) $wire->terminal->diodeOhm,
            default => $wire->board->levels->highOutV / $wantsMa * 1000,
        };

        return $wantsMa * $ownOhm / ($ownOhm + $seriesOhm);
    }
}
