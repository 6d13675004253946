<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Behaviour\TellsMessagesApart;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\SaysCommands;
use Rundfunk\Shape\Values;

/** What goes over the link for a command. */
final readonly class CellularSayings implements SaysCommands, TellsMessagesApart
{
    public function saying(Plan $plan, Hop $hop): ?string
    {
        $route = $plan->route($hop->routeId);
        $control = $plan->control($route->controlId);
        $output = $plan->output($route->outputId);

        return match (true) {
            $control->kind === ControlKind::Call => 'a call',
            $control->kind === ControlKind::Text => Commands::word($control),
            $output->kind === OutputKind::Message => 'text: '.(new Values($output->settings))->text('words'),
            default => null,
        };
    }

    /** Each call and each word by itself, as the header's tables count them: who calls decides what it does. */
    public function mark(Plan $plan, Hop $hop): string
    {
        return $hop->id;
    }

    public function showsSender(Plan $plan, Hop $hop): bool
    {
        return true;
    }
}
