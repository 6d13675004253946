<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** How an output can hurt someone or spoil something when it works unasked. What is dangerous wants more than a link's word. */
enum Hazard: string
{
    /** Heaters, ovens, soldering irons. */
    case Heat = 'heat';

    /** Gates, doors on motors, machines, winches. */
    case Motion = 'motion';

    /** Locks and gates: whoever can work it can come in. */
    case Access = 'access';

    /** Pumps and valves: floods, or runs dry. */
    case Flow = 'flow';

    /** Hoists, lids, tail lifts: what comes down on someone. */
    case Lift = 'lift';

    /** Mains voltage on the contact. */
    case Mains = 'mains';

    public function words(): string
    {
        return match ($this) {
            self::Heat => 'it heats',
            self::Motion => 'it moves',
            self::Access => 'it lets someone in',
            self::Flow => 'water flows',
            self::Lift => 'it lifts',
            self::Mains => 'it is on the mains',
        };
    }

    /** What must be there besides the network. Common practice. */
    public function caution(): string
    {
        return match ($this) {
            self::Heat => 'Give it a thermostat of its own that works without the network.',
            self::Motion => 'Guards, limit switches and an emergency stop must not depend on the link.',
            self::Access => 'The network is a convenience here, never the lock.',
            self::Flow => 'Give it a float switch or a timer of its own.',
            self::Lift => 'It must hold by itself when power goes: a brake or a screw, limit switches, and nobody below.',
            self::Mains => 'Isolate first, in an enclosure, with earth and residual-current protection; your local wiring code and a licensed electrician decide.',
        };
    }

    /** Working it unasked can hurt: the mains alone asks for care in wiring, not for proof of who presses. */
    public function asksForProof(): bool
    {
        return $this !== self::Mains;
    }
}
