<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

use Rundfunk\Catalogue\InputKind;
use Rundfunk\Catalogue\PinState;
use Rundfunk\Figures;
use Rundfunk\Plan\AtStart;
use Rundfunk\Plan\ContactForm;
use Rundfunk\Plan\SecondBreak;

/**
 * The proven chain: pin, driver, coil, contact, load, in each phase. Trade book §12: an unpowered board's pin does not float, its clamp diode ties
 * it to a dead rail; a bipolar base and a coupler that nothing drives are off; a gate that nothing holds is either, and either is unsafe.
 */
final readonly class Chain
{
    /** Some tens of kiloohms in the chip. Data sheets, from memory: 20 to 80. */
    private const WEAK_OHM = 45_000.0;

    /** In series with a base or a diode. Common practice. */
    private const SERIES_OHM = 1_000.0;

    /** What a dead board's clamp diode leaves. Trade book §12. */
    private const CLAMP_V = 0.6;

    /** What a base wants at the least before a coil of 72 mA may pull in. */
    private const LEAST_BASE_A = 0.2e-3;

    /** What the diode of a coupler wants at the least before its relay may pull in. Trade book §13: 0.1 mA does not, 1.2 does. */
    private const LEAST_LED_A = 0.8e-3;

    /** Below which no gate of a transistor or input that is made for board signals opens, and above which each does. */
    private const GATE_SHUT_V = 0.8;

    private const GATE_OPEN_V = 2.5;

    /** @param  bool  $words  the chain is to be put into words; otherwise only what the load may be is worked out */
    public function __construct(private Setup $setup, private bool $words = true)
    {
    }

    public function in(Phase $phase): Standing
    {
        return match ($phase) {
            Phase::Off => $this->made($phase, [[PinStands::Dead, 'the board has no power']], signal: false, coil: false),
            Phase::LogicOnly => $this->made($phase, [[PinStands::Held, 'as the program has it']], signal: ! $this->setup->coil, coil: false, occurs: $this->setup->logicOnly),
            Phase::CoilsOnly => $this->made($phase, [$this->whileDead()], signal: ! $this->setup->signalDiesWithBoard, coil: true, occurs: $this->setup->coilsOnly),
            Phase::Reset => $this->made($phase, $this->atReset()),
            Phase::Flashing => $this->made($phase, $this->whileFlashed()),
            Phase::Initial => $this->made($phase, $this->initially()),
            Phase::Running => new Standing($phase, true, true, true, 'as told', $this->links([PinStands::Held, 'the program says'], Draws::AsBefore, true)),
            Phase::LinkLost => $this->unheard(),
            Phase::Hung => $this->hung(),
            Phase::SupplyBack => $this->made($phase, [...$this->whileFlashed(), ...$this->initially()]),
            Phase::Welded => $this->welded(),
        };
    }

    /** At some moment of the phase the load may be that. */
    public function mayBe(Phase $phase, bool $on): bool
    {
        $standing = (new self($this->setup, false))->in($phase);

        return $on ? $standing->mayBeOn : $standing->mayBeOff;
    }

    /** @return array{PinStands, string} */
    private function whileDead(): array
    {
        return $this->setup->onExpander && ! $this->setup->signalDiesWithBoard
            ? [PinStands::Chance, 'the expander was not written to']
            : [PinStands::Dead, 'its clamp diode ties it to a dead rail, about 0.6 V'];
    }

    /** @return list<array{PinStands, string}> */
    private function atReset(): array
    {
        return $this->setup->onExpander ? [$this->expander()] : [self::byItself($this->setup->start->reset, 'the reset leaves it so')];
    }

    /** @return list<array{PinStands, string}> */
    private function whileFlashed(): array
    {
        return $this->setup->onExpander ? [$this->expander()] : [
            self::byItself($this->setup->start->bootloader, 'the loader leaves it so'),
            self::byItself($this->setup->start->reset, 'the reset leaves it so'),
        ];
    }

    /** @return list<array{PinStands, string}> */
    private function initially(): array
    {
        $first = $this->setup->onExpander ? [$this->expander()] : [self::byItself($this->setup->start->initial, 'the program has not come to it yet')];
        if (! $this->setup->levelFirst && ! $this->setup->onExpander) {
            $first[] = [PinStands::Low, 'it is made an output before its level is written'];
        }

        return [...$first, ...match ($this->setup->atStart) {
            AtStart::Off => [[$this->setup->restsLow() ? PinStands::Low : PinStands::High, 'the program writes off first']],
            AtStart::On => [[$this->setup->restsLow() ? PinStands::High : PinStands::Low, 'the program puts it on when it starts']],
            AtStart::Last => [[PinStands::Held, 'the program puts it back as it last stood']],
        }];
    }

    /** @return array{PinStands, string} */
    private function expander(): array
    {
        return $this->setup->floatsUntilWritten
            ? [PinStands::Floats, 'its expander\'s output-enable is held high until the first write']
            : [PinStands::Chance, 'the expander keeps what it had, and at power-up that is chance'];
    }

    /** @return array{PinStands, string} */
    private static function byItself(PinState $state, string $why): array
    {
        return [match ($state) {
            PinState::Floats => PinStands::Floats,
            PinState::WeakUp => PinStands::WeakUp,
            PinState::WeakDown => PinStands::WeakDown,
            PinState::High => PinStands::High,
            PinState::Low => PinStands::Low,
            PinState::Toggles => PinStands::Toggles,
        }, $why];
    }

    private function unheard(): Standing
    {
        $off = $this->setup->restsLow() ? PinStands::Low : PinStands::High;
        $on = $this->setup->restsLow() ? PinStands::High : PinStands::Low;

        return match ($this->setup->linkLoss) {
            LinkLoss::Unaffected => new Standing(Phase::LinkLost, true, false, false, 'as told', $this->links([PinStands::Held, 'nobody on another node works it'], Draws::AsBefore, true)),
            LinkLoss::GoesOff => new Standing(Phase::LinkLost, true, false, true, 'off', $this->links([$off, 'what put it on ends by itself'], $this->closed(Draws::No), true)),
            LinkLoss::GoesOn => new Standing(Phase::LinkLost, true, true, false, 'ON', $this->links([$on, 'unheard of, it comes on by itself'], $this->closed(Draws::Yes), true)),
            LinkLoss::Held => new Standing(Phase::LinkLost, true, true, true, 'held', $this->links([PinStands::Held, 'as it was last told'], Draws::AsBefore, true)),
        };
    }

    private function hung(): Standing
    {
        if ($this->setup->watchdog) {
            $anew = $this->made(Phase::Hung, [...$this->whileFlashed(), ...$this->initially()]);

            return new Standing(Phase::Hung, true, $anew->mayBeOn, $anew->mayBeOff, $anew->word, [...$anew->chain, new ChainLink('Watchdog', 'resets it', 'so it is as at reset and start')]);
        }

        return new Standing(Phase::Hung, true, true, true, 'held', $this->links([PinStands::Held, 'its last level, whichever that was'], Draws::AsBefore, true));
    }

    private function welded(): Standing
    {
        $broken = $this->setup->secondBreak !== SecondBreak::None;
        $fails = $this->setup->changeover || $this->setup->keepsState ? 'welded' : 'failed shorted';

        return new Standing(Phase::Welded, true, ! $broken, true, $broken ? 'broken' : 'ON', [
            new ChainLink('Contact', $fails, 'contacts weld and semiconductors fail closed; a fuse saves neither'),
            new ChainLink('Second break', $this->setup->secondBreak->words(), $broken ? 'opens the circuit by itself' : 'nothing else opens the circuit'),
            new ChainLink('Load', $broken ? 'off when it must be' : 'ON', ''),
        ]);
    }

    /**
     * @param  list<array{PinStands, string}>  $moments  how the pin stands, one after the other
     */
    private function made(Phase $phase, array $moments, bool $signal = true, bool $coil = true, bool $occurs = true): Standing
    {
        if (! $occurs) {
            return new Standing($phase, false, false, false, '–', [new ChainLink('Supply', 'does not occur', $phase === Phase::LogicOnly ? 'what it switches with has power whenever the board has' : 'the board has power whenever what it switches with has')]);
        }
        $on = $off = $may = false;
        $shown = null;
        foreach ($moments as $moment) {
            $draws = $this->draws($moment[0], $signal, $coil);
            $load = $this->closed($draws);
            $on = $on || $load === Draws::Yes;
            $may = $may || $load->mayBe(true);
            $off = $off || $load->mayBe(false);
            if ($shown === null || self::rank($load) > self::rank($shown[1])) {
                $shown = [$moment, $load, $draws];
            }
        }
        $shown ??= [[PinStands::Floats, ''], Draws::No, Draws::No];

        return new Standing($phase, true, $may, $off, match ($shown[1]) {
            Draws::Yes => 'ON',
            Draws::No => 'off',
            Draws::Either => 'either',
            Draws::AsBefore => 'held',
        }, $this->links($shown[0], $shown[2], $coil, $signal));
    }

    private static function rank(Draws $load): int
    {
        return match ($load) {
            Draws::No => 0,
            Draws::AsBefore => 1,
            Draws::Either => 2,
            Draws::Yes => 3,
        };
    }

    private function closed(Draws $draws): Draws
    {
        return $this->setup->contact === ContactForm::NormallyClosed ? $draws->opposite() : $draws;
    }

    /** Whether the coil, or what stands for one, has current. */
    private function draws(PinStands $pin, bool $signal, bool $coil): Draws
    {
        if ($this->setup->keepsState) {
            // It moves only while it has power and a pulse: but a pin that floats or talks may give it one.
            return Draws::AsBefore;
        }
        if (! $coil) {
            return Draws::No;
        }

        return match ($pin) {
            PinStands::Held => Draws::AsBefore,
            PinStands::Chance => Draws::Either,
            PinStands::Toggles => Draws::Yes,
            PinStands::High => $this->driven(true, $signal),
            PinStands::Low => $this->driven(false, $signal),
            PinStands::Dead => $this->whenDead($signal),
            PinStands::Floats, PinStands::WeakUp, PinStands::WeakDown => $this->undriven($pin, $signal),
        };
    }

    private function driven(bool $high, bool $signal): Draws
    {
        return $high !== $this->setup->drawsOnLow() && ($signal || ! $this->setup->activeLow) ? Draws::Yes : Draws::No;
    }

    private function whenDead(bool $signal): Draws
    {
        // Its transistor is shut without the board's voltage: the resistor on its other side is all that is left.
        if ($this->setup->shifterOhm !== null) {
            return $this->undriven(PinStands::Floats, $signal);
        }
        if ($this->setup->driver && ! $this->setup->activeLow) {
            return $signal ? Draws::Either : Draws::No;
        }
        $leaks = $this->setup->input === InputKind::LedToSupply && ! $this->setup->driver && $signal
            && ($this->setup->signalV - self::CLAMP_V - $this->setup->ledDropV) / self::SERIES_OHM >= self::LEAST_LED_A;
        if ($leaks) {
            return Draws::Yes;
        }

        // An active-low logic input that the dead pin holds down.
        return $this->setup->input === InputKind::Gate && $this->setup->activeLow && ! $this->setup->driver && $signal ? Draws::Yes : Draws::No;
    }

    /** Nothing drives the pin: the pulls decide. */
    private function undriven(PinStands $pin, bool $signal): Draws
    {
        [$volts, $ohm] = $this->pulled($pin, $signal);
        if ($this->setup->driver || $this->setup->input === InputKind::Base) {
            $baseA = $volts === null ? 0.0 : ($volts - 0.7) / ($ohm + self::SERIES_OHM);
            $conducts = $baseA >= self::LEAST_BASE_A;

            // A base that is given a little opens a little.
            return $this->setup->driver && ! $this->setup->activeLow
                ? ($conducts ? Draws::No : Draws::Either)
                : ($conducts ? Draws::Either : Draws::No);
        }
        if ($this->setup->input === InputKind::LedToSupply) {
            $ledA = $volts === null || ! $signal ? 0.0 : ($this->setup->signalV - $this->setup->ledDropV - $volts) / ($ohm + self::SERIES_OHM);

            return $ledA >= self::LEAST_LED_A ? Draws::Either : Draws::No;
        }
        $level = match (true) {
            $volts === null => null,
            $volts >= self::GATE_OPEN_V => true,
            $volts <= self::GATE_SHUT_V => false,
            default => null,
        };

        return $level === null ? Draws::Either : ($level !== $this->setup->activeLow ? Draws::Yes : Draws::No);
    }

    /** @return array{float|null, float} volts that the pulls make, null where there is none, and their ohms together */
    private function pulled(PinStands $pin, bool $signal): array
    {
        $setup = $this->setup;
        $siemens = $amperes = 0.0;
        foreach ([
            [$pin === PinStands::WeakUp ? self::WEAK_OHM : null, $setup->logicV],
            [$pin === PinStands::WeakDown ? self::WEAK_OHM : null, 0.0],
            [$setup->fixedUpOhm, $setup->logicV],
            [$signal ? $setup->pullUpOhm : null, $setup->signalV],
            [$signal ? $setup->shifterOhm : null, $setup->signalV],
            [$setup->pullDownOhm, 0.0],
        ] as [$ohm, $volts]) {
            if ($ohm !== null) {
                $siemens += 1 / $ohm;
                $amperes += $volts / $ohm;
            }
        }

        return $siemens === 0.0 ? [null, 0.0] : [$amperes / $siemens, 1 / $siemens];
    }

    /**
     * @param  array{PinStands, string}  $moment
     * @return list<ChainLink>
     */
    private function links(array $moment, Draws $draws, bool $coil, bool $signal = true): array
    {
        if (! $this->words) {
            return [];
        }
        $setup = $this->setup;
        [$volts] = in_array($moment[0], [PinStands::Floats, PinStands::WeakUp, PinStands::WeakDown], true) ? $this->pulled($moment[0], $signal) : [null];
        $load = $this->closed($draws);
        $loadIs = match ($load) {
            Draws::Yes => 'ON',
            Draws::No => 'off',
            Draws::Either => 'either',
            Draws::AsBefore => 'as told last',
        };
        $links = [
            new ChainLink("Pin {$setup->pin}", $moment[0]->value, $moment[1].($volts === null ? '' : ', the pulls make '.Figures::significant($volts).' V of it')),
            new ChainLink('Driver', ($setup->drawsOnLow() ? 'active low' : 'active high').($setup->driver ? ', by a transistor' : ''), $this->meets($moment[0], $draws, $signal)),
        ];
        if ($setup->coil) {
            $links[] = new ChainLink($setup->changeover || $setup->keepsState ? 'Coil' : 'Semiconductor', match (true) {
                $setup->keepsState => 'latched',
                $draws === Draws::Yes => 'energised',
                $draws === Draws::No => 'at rest',
                default => $draws->value,
            }, $coil ? 'its supply is there' : 'its supply is not there');
        }
        if ($setup->changeover) {
            $links[] = new ChainLink('Contact', $setup->contact->words(), match ($load) {
                Draws::Yes => 'closed',
                Draws::No => 'open',
                default => $load->value,
            });
        }

        return [...$links, new ChainLink('Load', $loadIs, '')];
    }

    private function meets(PinStands $pin, Draws $draws, bool $signal): string
    {
        $input = $this->setup->driver ? InputKind::Base : $this->setup->input;

        return match (true) {
            ! $signal => 'its signal side has no power',
            $pin === PinStands::Dead && $draws === Draws::Yes => 'current flows through the diode into the dead board',
            $input === InputKind::Gate && $draws === Draws::Either => 'nothing holds its gate',
            $input === InputKind::Base && $pin === PinStands::Floats => $draws === Draws::Either ? 'a pull opens it a little' : 'a base that nothing drives is off',
            $input === InputKind::LedToSupply && $pin === PinStands::Floats => 'no current can leave the terminal',
            default => match ($draws) {
                Draws::Yes => 'that works it',
                Draws::No => 'that lets it go',
                Draws::Either => 'nobody can say',
                Draws::AsBefore => 'as it was last told',
            },
        };
    }
}
