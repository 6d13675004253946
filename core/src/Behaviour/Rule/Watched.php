<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\Answers;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Output;

/** Which outputs can go off when they are not heard of, and which controls can say again that they are held. */
final readonly class Watched
{
    public static function canBe(Output $output): bool
    {
        return $output->kind->settings()->field('silenceMs') !== null;
    }

    public static function canRepeat(Control $control): bool
    {
        return $control->kind->settings()->field('repeatMs') !== null;
    }

    /** @return int 0 for once */
    public static function repeatMs(Control $control): int
    {
        if ($control->kind === ControlKind::State) {
            return Answers::everyMs($control);
        }
        $repeat = $control->settings['repeatMs'] ?? 0;

        return is_int($repeat) ? $repeat : 0;
    }
}
