<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

/** What a signal meets first on what it works, which decides what a pin that says nothing does to it. */
enum InputKind: string
{
    /** A light-emitting diode from the signal supply to the terminal: current out of the terminal switches it. */
    case LedToSupply = 'led-to-supply';

    /** The base of a bipolar transistor, or the diode of a coupler to ground: current into the terminal switches it. */
    case Base = 'base';

    /** The gate of a MOSFET, or a logic input: a voltage switches it, and without one it is as it likes. */
    case Gate = 'gate';
}
