<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Fix;
use Rundfunk\Check\Rule;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Cellular\Cellular;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\ThingKind;

/** What every rule of cellular looks at. */
abstract readonly class CellularRule implements Rule
{
    public function reads(): array
    {
        return [
            ThingKind::Node, ThingKind::Module, ThingKind::Link, ThingKind::Endpoint, ThingKind::Address, ThingKind::Control, ThingKind::Output,
            ThingKind::Route, ThingKind::Hop,
        ];
    }

    /** @return list<array{link: Link, endpoint: Endpoint, node: Node}> */
    protected static function phones(Plan $plan): array
    {
        $found = [];
        foreach ($plan->linksOver(Cellular::KEY) as $link) {
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $node = $plan->node($endpoint->nodeId);
                if ($node->kind === NodeKind::Phone) {
                    $found[] = ['link' => $link, 'endpoint' => $endpoint, 'node' => $node];
                }
            }
        }

        return $found;
    }

    /** @return list<array{modem: Modem, hop: Hop, route: Route, control: Control, output: Output}> every call and text that a modem of ours takes */
    protected static function commands(Plan $plan, Knowledge $knowledge): array
    {
        $found = [];
        foreach (Modem::all($plan, $knowledge->catalogue) as $modem) {
            foreach (Commands::to($plan, $modem->endpoint) as $command) {
                $found[] = ['modem' => $modem, ...$command];
            }
        }

        return $found;
    }

    /** @param  array<string, mixed>  $values */
    protected static function setEnd(Endpoint $endpoint, string $label, array $values): Fix
    {
        return new Fix($label, Operation::change(ThingKind::Endpoint, $endpoint->id, ['settings' => $values]));
    }

    /** @param  array<string, mixed>  $values */
    protected static function setControl(Control $control, string $label, array $values): Fix
    {
        return new Fix($label, Operation::change(ThingKind::Control, $control->id, ['settings' => $values]));
    }
}
