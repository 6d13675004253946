<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\Answers;
use Rundfunk\Behaviour\CarriesLetGo;
use Rundfunk\Behaviour\SaysAgain;
use Rundfunk\Check\Look;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Route;

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

    /** @return int how often what holds an output is told where it arrives, whoever tells it; 0 for once */
    public static function toldEveryMs(Look $look, Route $route, Control $control): int
    {
        $hops = $look->plan->hopsOf($route);
        $last = $hops[count($hops) - 1] ?? null;

        return ($last === null ? null : $look->media->offering(SaysAgain::class, $look->plan->link($last->linkId)->medium)?->everyMs()) ?? self::repeatMs($control);
    }

    /** What the control has to say is said again whether it holds or not, and gets there over every link on the way. */
    public static function carriesLetGo(Look $look, Route $route, Control $control): bool
    {
        // A reading says its value as often as it is read, not as often as it says that it holds.
        if (! $route->action->holds() && ($control->kind !== ControlKind::Axis || ! $route->holdsToControl())) {
            return false;
        }
        foreach ($look->plan->hopsOf($route) as $hop) {
            if ($look->media->offering(CarriesLetGo::class, $look->plan->link($hop->linkId)->medium) === null) {
                return false;
            }
        }

        return true;
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
