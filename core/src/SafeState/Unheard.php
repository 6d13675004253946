<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

use Rundfunk\Arbitration\Range;
use Rundfunk\Behaviour\Rule\Watched;
use Rundfunk\Behaviour\Silence;
use Rundfunk\Behaviour\Steps;
use Rundfunk\Check\Look;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Route;

/** What an output does when no link brings anything any more, from the routes to it and to what has steps at it. */
final readonly class Unheard
{
    public function __construct(private Look $look)
    {
    }

    public function of(Output $output): LinkLoss
    {
        return $this->follow($output, []);
    }

    /** @return list<array{Output, list<Route>}> the output, or what has a step at it, each with the routes from other nodes that leave it on */
    public function held(Output $output): array
    {
        $held = [];
        $waiting = [$output];
        $seen = [];
        while (($one = array_pop($waiting)) !== null) {
            if (isset($seen[$one->id]) || $this->follow($one, []) !== LinkLoss::Held) {
                continue;
            }
            $seen[$one->id] = true;
            $routes = [];
            foreach ($this->look->plan->routesTo($one) as $route) {
                $control = $this->look->plan->control($route->controlId);
                if ($this->isFar($route, $one)) {
                    $routes = $this->through($route, $one) === LinkLoss::Held ? [...$routes, $route] : $routes;
                } elseif ($control->kind === ControlKind::Step && ($whole = Steps::whole($this->look->plan, $control)) !== null) {
                    $waiting[] = $whole;
                }
            }
            if ($routes !== []) {
                $held[] = [$one, $routes];
            }
        }

        return $held;
    }

    /** @param  array<string, true>  $seen  outputs on the way, for groups may stand in a circle */
    private function follow(Output $output, array $seen): LinkLoss
    {
        $loss = LinkLoss::Unaffected;
        foreach (isset($seen[$output->id]) ? [] : $this->look->plan->routesTo($output) as $route) {
            $control = $this->look->plan->control($route->controlId);
            $by = match (true) {
                $this->isFar($route, $output) => $this->through($route, $output),
                $control->kind === ControlKind::Step && $route->action !== Action::Off => $this->ofWhole($control, $seen + [$output->id => true]),
                default => LinkLoss::Unaffected,
            };
            $loss = self::worse($loss, $by);
        }

        return $loss;
    }

    private function isFar(Route $route, Output $output): bool
    {
        return $this->look->plan->control($route->controlId)->nodeId !== $output->nodeId;
    }

    private function through(Route $route, Output $output): LinkLoss
    {
        $control = $this->look->plan->control($route->controlId);
        $fetched = Silence::isFetched($this->look, $control, $output);

        return match (true) {
            $output->comesOnUnheard() && ! $fetched => LinkLoss::GoesOn,
            $route->action === Action::Off, $route->action === Action::Pulse => LinkLoss::GoesOff,
            $route->action === Action::Set && $route->value !== null && $route->value === Range::of($output)->off => LinkLoss::GoesOff,
            $fetched => Silence::isNoticed($this->look, $control, $output) ? LinkLoss::GoesOff : LinkLoss::Held,
            Watched::canBe($output) && $output->setting('silenceMs') > 0 => LinkLoss::GoesOff,
            default => LinkLoss::Held,
        };
    }

    /**
     * A step does what its whole is told.
     *
     * @param  array<string, true>  $seen
     */
    private function ofWhole(Control $step, array $seen): LinkLoss
    {
        $whole = Steps::whole($this->look->plan, $step);
        if ($whole === null) {
            return LinkLoss::Unaffected;
        }
        $by = $this->follow($whole, $seen);

        // A sequence that is gone through so often ends by itself.
        return $by === LinkLoss::Held && $whole->kind === OutputKind::Sequence && $whole->setting('passes') > 0 ? LinkLoss::GoesOff : $by;
    }

    private static function worse(LinkLoss $one, LinkLoss $other): LinkLoss
    {
        return match (true) {
            $one === LinkLoss::Held || $other === LinkLoss::Held => LinkLoss::Held,
            $one !== $other && $one !== LinkLoss::Unaffected && $other !== LinkLoss::Unaffected => LinkLoss::Held,
            $one === LinkLoss::GoesOn || $other === LinkLoss::GoesOn => LinkLoss::GoesOn,
            $one === LinkLoss::GoesOff || $other === LinkLoss::GoesOff => LinkLoss::GoesOff,
            default => LinkLoss::Unaffected,
        };
    }
}
