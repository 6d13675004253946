<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

/** In what condition a node is, with everything that hangs on it. Trade book §12. */
enum Phase: string
{
    /** Nothing has power but what the loads hang on. */
    case Off = 'off';

    /** The board has power and what it switches with has none. */
    case LogicOnly = 'logic-only';

    /** What it switches with has power and the board has none. */
    case CoilsOnly = 'coils-only';

    /** Both have power, and the board's reset holds it. */
    case Reset = 'reset';

    /** Its loader runs: at each start for a moment, and while it is given a new program. */
    case Flashing = 'flashing';

    /** The program has begun: until it has written to every pin. */
    case Initial = 'initial';

    /** As it is told. */
    case Running = 'running';

    /** Nobody can tell it anything any more. */
    case LinkLost = 'link-lost';

    /** Its program stands still. */
    case Hung = 'hung';

    /** After a power cut, from the first moment to the first thing that it is told. */
    case SupplyBack = 'supply-back';

    /** Its contact has welded, or its semiconductor has failed, as they do: closed. */
    case Welded = 'welded';

    public function words(): string
    {
        return match ($this) {
            self::LogicOnly => 'logic only',
            self::CoilsOnly => 'coils only',
            self::LinkLost => 'link lost',
            self::SupplyBack => 'supply back',
            default => $this->value,
        };
    }

    /** @return string for a sentence: "the heater is on …" */
    public function when(): string
    {
        return match ($this) {
            self::Off => 'without any power',
            self::LogicOnly => 'while only the board has power',
            self::CoilsOnly => 'while the board has no power and the rest has',
            self::Reset => 'at reset',
            self::Flashing => 'while the board waits for a program, at each start',
            self::Initial => 'until the program has set its pins',
            self::Running => 'as it is told',
            self::LinkLost => 'when its link is lost',
            self::Hung => 'when its program hangs',
            self::SupplyBack => 'when power comes back',
            self::Welded => 'when its contact welds',
        };
    }

    /** A safe state is asked for in it. What limits, an interlock and a time-out do while all is well, the matrix does not judge. */
    public function isJudged(): bool
    {
        return $this !== self::Running;
    }

    /** @return list<self> the ten of the matrix */
    public static function ofTheMatrix(): array
    {
        return array_slice(self::cases(), 0, -1);
    }
}
