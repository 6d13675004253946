<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels;

use Rundfunk\Check\Wire;
use Rundfunk\Electrical\BaseResistor;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;

/** Which of the parts at a wire do harm there: one kind of harm a method, and a rule. */
final readonly class Misfits
{
    /** What a small key is made for. Data sheets of such, from memory. */
    private const KEY_MA = 50.0;

    /** What the output of a sensor or a logic part sinks or gives and still keeps its level. Common practice. */
    public const OUTPUT_MA = 4.0;

    /** What every part on an I²C bus sinks. Source: UM10204. */
    private const BUS_MA = 3.0;

    /** So many times a shifter's own resistor leaves it its high. */
    private const BESIDE_SHIFTER = 10.0;

    /** The pull that a wire gets which wants no other. Common practice. */
    private const PULL_OHM = 10_000.0;

    /** A small transistor is a switch up to about that gain. Common practice: 10 to 30. */
    private const MOST_GAIN = 30.0;

    /** Less than that share of what it wants it does not light, sound or pull in. Common practice. */
    private const LEAST_SHARE = 1 / 3;

    public function __construct(private Wiring $wiring, private Wire $wire)
    {
    }

    /** @return list<Part> by the first harm that is found: what these hide is seen once they are mended */
    public function worst(): array
    {
        return $this->harm()[1];
    }

    /** @return string|null what the worst of them do, in a few words; null where none does harm */
    public function words(): ?string
    {
        return $this->harm()[0];
    }

    /** @return list<string> each harm that each of them does, for comparing */
    public function all(): array
    {
        $all = [];
        foreach ($this->kinds() as $does => $parts) {
            foreach ($parts as $part) {
                $all[] = "{$part->id} {$does}";
            }
        }

        return $all;
    }

    /** @return array{string|null, list<Part>} */
    private function harm(): array
    {
        foreach ($this->kinds() as $does => $parts) {
            if ($parts !== []) {
                return ["the {$parts[0]->kind->words()} {$does}", $parts];
            }
        }

        return [null, []];
    }

    /** @return array<string, list<Part>> by what they do */
    private function kinds(): array
    {
        return $this->parts() === [] ? [] : [
            'is out of place' => array_values(array_filter($this->parts(), fn (Part $part): bool => $this->whyMisplaced($part) !== null)),
            'asks for too much' => $this->strong(),
            'lets too little through' => $this->starving(),
            'makes it too slow' => $this->slowing(),
            'keeps it from being heard' => $this->muting(),
            'spoils its levels' => $this->pulling(),
        ];
    }

    /** @return string|null why a part can do no good at this wire, whatever its value; null where it is in its place */
    public function whyMisplaced(Part $part): ?string
    {
        $terminal = $this->wire->terminal;

        return match ($part->kind) {
            PartKind::Driver => match (true) {
                ! $terminal->isDriven() || $terminal->onBus() => 'A transistor goes one way and turns the signal over: what comes back by this wire, or is one of a bus, does not pass.',
                $this->wiring->wantedMa($this->wire) === null && ! $this->wiring->has($this->wire, PartKind::PullUp) => 'It pulls the wire low and lets it go, and nothing pulls it high: the input never sees one.',
                default => null,
            },
            PartKind::Divider => match (true) {
                $terminal->goesBothWays() => 'The line goes both ways: what is divided one way is lost the other.',
                $this->wiring->has($this->wire, PartKind::Shifter, PartKind::Driver) => 'The levels are made anew beside it, and it takes from what is made.',
                $terminal->open || ($this->wiring->levels($this->wire) === null && ! $terminal->contact && ! $terminal->onBus()) => 'There is no level to be divided: what hangs there is pulled low, or lives on what comes by the wire.',
                default => null,
            },
            PartKind::Shifter => $terminal->needs === 'analogue' ? 'A shifter knows high and low: every voltage between them is lost.' : null,
            PartKind::PullUp => $terminal->isDriven() && ! $this->wiring->has($this->wire, PartKind::Shifter, PartKind::Driver) && $this->wiring->railV($this->wire) > $this->wire->board->levels->mostInV + 1e-6
                ? 'It pulls a pin that is let go at every start to more volts than that stands.'
                : null,
            PartKind::PullDown => match (true) {
                $terminal->goesBothWays() => 'The line is held high by a resistor and pulled low by either end: this one works against both.',
                $this->wiring->has($this->wire, PartKind::Shifter) && ($part->ohms ?? INF) < self::BESIDE_SHIFTER * Wiring::SHIFTER_OHM => 'A level shifter makes its high by a resistor: this one divides it.',
                default => null,
            },
            PartKind::SeriesResistor => $this->wiring->stopsLows($this->wire) ? 'The line goes both ways and is held high behind it: a low of the board does not get through.' : null,
            default => null,
        };
    }

    /** @return list<Part> pulls, dividers and bases that ask more of whoever works against them than that bears */
    public function strong(): array
    {
        if ($this->parts() === []) {
            return [];
        }
        $mostMa = $this->mostMa();

        return array_values(array_filter($this->parts(), fn (Part $part): bool => ($this->asksMa($part) ?? 0.0) > $mostMa + 1e-9));
    }

    /** @return float|null milliamperes that a part asks of the end that gives the signal; null for one that asks for none */
    public function asksMa(Part $part): ?float
    {
        return match (true) {
            $this->wire->terminal->isDriven() => $this->wiring->takenMa($this->wire, $part),
            default => $this->wiring->askedMa($this->wire, $part),
        };
    }

    /** @return float milliamperes that the end bears which gives the signal */
    public function mostMa(): float
    {
        return match (true) {
            $this->wire->terminal->isDriven() => $this->wire->pinCurrent()->advisedMa,
            $this->wire->terminal->contact => self::KEY_MA,
            str_starts_with($this->wire->terminal->needs, 'i2c.') => self::BUS_MA,
            default => self::OUTPUT_MA,
        };
    }

    /** @return list<Part> through which too little comes of the current that is wanted */
    public function starving(): array
    {
        $wantsMa = $this->parts() === [] ? 0.0 : $this->wiring->wantedMa($this->wire) ?? 0.0;
        if ($wantsMa <= 0.0) {
            return [];
        }
        $bases = array_filter($this->parts(), fn (Part $part): bool => $part->kind === PartKind::Driver && ($this->wiring->takenMa($this->wire, $part) ?? INF) * self::MOST_GAIN < $wantsMa - 1e-9);
        $inWire = $this->wiring->gottenMa($this->wire, $wantsMa) >= self::LEAST_SHARE * $wantsMa - 1e-9 ? [] : $this->of(PartKind::SeriesResistor, PartKind::Divider);

        return [...array_values($bases), ...$inWire];
    }

    /** @return list<Part> without which its edges would not be so slow */
    public function slowing(): array
    {
        $edge = $this->parts() === [] ? null : $this->wiring->edge($this->wire);
        if ($edge?->isTooSlow() !== true) {
            return [];
        }
        // Before the resistor that is wanted it is the capacitor.
        $parts = [...$this->of(PartKind::Capacitor), ...array_filter($this->parts(), static fn (Part $part): bool => $part->kind !== PartKind::Capacitor)];

        return array_values(array_filter($parts, fn (Part $part): bool => $this->wiring->without($part)->edge($this->wire)->times() < 0.9 * $edge->times()));
    }

    /** @return list<Part> that stand between a bare contact and the pin that is to hear it */
    public function muting(): array
    {
        $levels = $this->wire->board->levels;
        // Without anything that holds it high there is another finding.
        $hears = ! $this->wire->terminal->contact || $this->parts() === [] || $this->wiring->missingPullUpOhm($this->wire) !== null
            || ($this->wiring->contactV($this->wire, false) >= $levels->highInV - 1e-6 && $this->wiring->contactV($this->wire, true) <= $levels->lowInV + 1e-6);

        return $hears ? [] : $this->of(PartKind::SeriesResistor, PartKind::PullDown, PartKind::Divider);
    }

    /** @return list<Part> pulls without which the levels would be right */
    private function pulling(): array
    {
        $wrong = $this->wiring->levels($this->wire)?->isWrong() === true;

        return array_values(array_filter($wrong ? $this->of(PartKind::PullUp, PartKind::PullDown) : [], fn (Part $part): bool => $this->wiring->without($part)->levels($this->wire)?->isWrong() !== true));
    }

    /** @return array<string, float>|null the values that a part should have; null where it is better taken out */
    public function better(Part $part): ?array
    {
        if ($this->whyMisplaced($part) !== null) {
            return null;
        }
        $terminal = $this->wire->terminal;
        $wantsMa = $this->wiring->wantedMa($this->wire);
        $divider = $part->kind === PartKind::Divider ? $this->wiring->levels($this->wire)?->dividerThatFits() : null;
        $ohms = match ($part->kind) {
            // A module that brings its own needs no other.
            PartKind::PullUp, PartKind::PullDown => str_starts_with($terminal->needs, 'i2c.') ? null : (float) ($terminal->pullUpOhm ?? self::PULL_OHM),
            PartKind::SeriesResistor => $terminal->seriesOhm === null ? null : (float) $terminal->seriesOhm,
            PartKind::Driver => $wantsMa === null ? self::PULL_OHM : (new BaseResistor($this->wire->board->levels->ratedHighV, max(1.0, $wantsMa)))->chosenOhm(),
            default => null,
        };
        $values = $divider === null ? ($ohms === null ? null : ['ohms' => $ohms]) : ['ohms' => $divider[0], 'lowerOhms' => $divider[1]];

        $has = ['ohms' => $part->ohms, 'lowerOhms' => $part->lowerOhms];

        // What has them already is wrong for another reason.
        return $values === null || [...$has, ...$values] === $has ? null : $values;
    }

    /** @return list<Part> */
    private function of(PartKind ...$kinds): array
    {
        return array_values(array_filter($this->parts(), static fn (Part $part): bool => in_array($part->kind, $kinds, true)));
    }

    /** @return list<Part> */
    private function parts(): array
    {
        return $this->wiring->partsAt($this->wire);
    }
}
