<?php

declare(strict_types=1);

namespace Rundfunk\Pins;

/** Weights of the pin matcher. Each outweighs any sum of the ones below it on the largest board. */
final readonly class PinCost
{
    /** Wiring something that had no pin: when one must go without, it is the one that never had any. */
    public const NEWCOMER = 100;

    /** Wasting one special function of a pin on a plain signal. */
    public const TALENT = 1_000;

    public const LED = 20_000;

    /** A bare contact on a pin that cannot hold it high: it costs a resistor. No board has more than five such pins. */
    public const NO_PULL_UP = 150_000;

    public const STRAP = 1_000_000;

    /** Moving something off the console: worth while when the console is free then, not when another takes its place there. */
    public const OFF_CONSOLE = 10_000_000;

    public const CONSOLE = 100_000_000;

    /** Rewiring something that could have stayed. */
    public const CHANGE = 10_000_000_000;

    /** Two on one bus that answer to one address: worth moving both. */
    public const ADDRESS_SHARED = 1_000_000_000_000;

    /** Leaving a terminal without a pin. */
    public const UNPLACED = 10_000_000_000_000;

    /** Taking the pin away from a terminal that has one. */
    public const EVICTED = 1_000 * self::UNPLACED;
}
