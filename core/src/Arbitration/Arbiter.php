<?php

declare(strict_types=1);

namespace Rundfunk\Arbitration;

use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Precedence;
use Rundfunk\Plan\Route;

/** What an output does when a master has its say. Where a message asks for nothing new, the standing stays as it is. */
final readonly class Arbiter
{
    public function __construct(private Precedence $precedence)
    {
    }

    public function hear(Standing $standing, Control $control, Route $route, Turn $turn): Standing
    {
        $action = $route->action;
        $holders = $standing->holders;
        if ($action->holds()) {
            $holders = array_values(array_diff($holders, [$control->id]));
            if ($turn === Turn::Worked) {
                $holders[] = $control->id;
            }
        }
        $wanted = self::wanted($standing->on, $route, $turn);
        if ($wanted === null) {
            return $standing;
        }
        if ($this->precedence === Precedence::HolderFirst && $holders !== []) {
            return new Standing(true, $holders, $standing->barred);
        }
        if ($this->precedence === Precedence::OffFirst) {
            return self::offFirst($standing, $wanted, $holders, $control, $action);
        }

        return new Standing($wanted, $holders);
    }

    /** @param  list<string>  $holders */
    private static function offFirst(Standing $standing, bool $wanted, array $holders, Control $control, Action $action): Standing
    {
        $byHand = $control->kind->isByHand();
        if (! $wanted) {
            return new Standing(false, $holders, $standing->barred || $byHand);
        }
        $explicit = $byHand && $action !== Action::Toggle && $action !== Action::Step;
        if ($standing->barred && ! $explicit) {
            return new Standing(false, $holders, true);
        }

        return new Standing(true, $holders);
    }

    /** @return bool|null null when nothing is asked */
    private static function wanted(bool $on, Route $route, Turn $turn): ?bool
    {
        return match ($route->action) {
            Action::Follow, Action::Momentary, Action::Pulse => $turn === Turn::Worked,
            Action::Toggle => $turn === Turn::Worked ? ! $on : null,
            Action::On, Action::Off, Action::Set, Action::Step => $turn === Turn::Worked ? ! $route->putsOff() : null,
        };
    }
}
