<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

/** What makes and breaks a load's circuit. */
enum SwitchedBy: string
{
    /** A contact, with a normally open and a normally closed side. */
    case Relay = 'relay';

    /** A semiconductor that goes out when the current passes through nothing: alternating current only. */
    case Triac = 'triac';

    /** A semiconductor for direct current. */
    case Transistor = 'transistor';

    public function words(): string
    {
        return match ($this) {
            self::Relay => 'relay',
            self::Triac => 'solid-state relay',
            self::Transistor => 'transistor',
        };
    }

    /** It is a contact, which arcs, wears and welds. */
    public function isContact(): bool
    {
        return $this === self::Relay;
    }
}
