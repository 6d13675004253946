<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Behaviour\Steps;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** A sequence as rules look at it: what is asked of whom, and when. */
final readonly class Sequenced
{
    /** @param  list<array{atMs: int, route: Route}>  $asked  of one pass, in order; what is done when it is stopped left out */
    private function __construct(public Output $output, public array $asked, public int $lastsMs)
    {
    }

    public static function of(Plan $plan, Output $output): self
    {
        $at = 0;
        $asked = [];
        foreach (Steps::of($plan, $output) as $step) {
            $settings = new Values($step->settings);
            if ($settings->text('when') === 'stopped') {
                continue;
            }
            $at += $settings->whole('afterMs');
            foreach ($plan->routesFrom($step) as $route) {
                $asked[] = ['atMs' => $at, 'route' => $route];
            }
        }

        return new self($output, $asked, $at + $output->setting('pauseMs'));
    }

    /** @return array<string, list<array{atMs: int, route: Route}>> by output that is worked */
    public function byOutput(): array
    {
        $by = [];
        foreach ($this->asked as $one) {
            $by[$one['route']->outputId][] = $one;
        }

        return $by;
    }

    public function repeats(): bool
    {
        return $this->output->setting('passes') !== 1;
    }

    public function at(Plan $plan, ?string $field = null): Spot
    {
        return Spot::of($this->output, "{$this->output->name} of {$plan->node($this->output->nodeId)->name}", $field);
    }
}
