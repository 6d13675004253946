<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Path\RouteNames;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Plan;

/** A text that works something dangerous without a secret. */
final readonly class TextUnproved extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-text-unproved';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::commands($plan, $knowledge) as ['route' => $route, 'control' => $control, 'output' => $output]) {
            $hazard = $output->proofHazards()[0] ?? null;
            if ($control->kind !== ControlKind::Text || $hazard === null || $route->putsOff() || Commands::needsSecret($control)) {
                continue;
            }
            yield new Finding(
                $this->key(),
                Severity::Danger,
                "A text without a secret works {$output->name}",
                Subject::of($control, RouteNames::of($plan, $route), 'secret'),
                ['hazard' => $hazard->value],
                "The sender's number can be forged, and {$hazard->words()}.",
                "Let a secret follow the word. It is put in when the board is flashed and is never in the plan. {$hazard->caution()}",
                self::setControl($control, 'Ask for a secret', ['secret' => true]),
                [$control->id, $route->id],
            );
        }
    }
}
