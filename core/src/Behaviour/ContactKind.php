<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;

/** What is either worked or not. */
enum ContactKind: string
{
    /** Springs back. Held when the node starts, it counts only once it was let go. */
    case Key = 'key';

    /** Stays where it is put: what follows it is told where it stands when the node starts. */
    case Switch = 'switch';

    /** Something that the program itself notices: a press on its web page, a phrase, a doorbell. It does not bounce. */
    case Notice = 'notice';

    /** @return self|null what a control is to its node's program; null for what is no contact */
    public static function of(Control $control): ?self
    {
        return match ($control->kind) {
            ControlKind::Button => self::Key,
            ControlKind::Switch => self::Switch,
            // A slider is a stick.
            ControlKind::Widget => $control->saysValue() ? null : self::Notice,
            ControlKind::Phrase, ControlKind::Gesture, ControlKind::Trigger => self::Notice,
            default => null,
        };
    }
}
