<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

enum NodeKind: string
{
    /** A board that stays where it is and drives or senses something. */
    case Controller = 'controller';

    /** A board that is carried about, on a battery. */
    case Handset = 'handset';

    /** A board or computer that passes messages between links. */
    case Gateway = 'gateway';

    /** Somebody's telephone: it calls and texts, and is texted. */
    case Phone = 'phone';

    /** A bought remote control or fob: its keys are controls. */
    case Remote = 'remote';

    /** A bought appliance, lamp or toy that obeys a link: its functions are outputs. */
    case Fixture = 'fixture';

    /** It comes as it is: no board of ours inside, no pins to wire, and it hands nothing on. */
    public function isBought(): bool
    {
        return match ($this) {
            self::Controller, self::Handset, self::Gateway => false,
            self::Phone, self::Remote, self::Fixture => true,
        };
    }

    /** Nobody takes a wire along with it. */
    public function isCarried(): bool
    {
        return $this === self::Handset;
    }

    public function words(): string
    {
        return match ($this) {
            self::Fixture => 'appliance or toy',
            default => $this->value,
        };
    }
}
