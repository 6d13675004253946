<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Shape\Schema;
use Rundfunk\View\DrawsPanel;

/** The figures of the dialogue: step by step, whom the modem obeys, what each word does, and how its supply bears it. */
final readonly class CellularPanel implements DrawsPanel
{
    /** @return array<string, mixed> */
    public function panelSchema(): array
    {
        $step = Schema::object([
            'send' => Schema::text(), 'expect' => Schema::text(), 'timeoutMs' => Schema::whole(), 'tries' => Schema::whole(),
            'ifNot' => Schema::text(), 'why' => Schema::text(), 'source' => Schema::text(),
        ]);

        return Schema::object([
            'allowed' => Schema::listOf(Schema::object(['name' => Schema::text(), 'number' => Schema::text()])),
            'modems' => Schema::listOf(Schema::object([
                'endpointId' => Schema::text(), 'name' => Schema::text(), 'bringUp' => Schema::listOf($step), 'service' => Schema::listOf($step), 'report' => Schema::listOf($step),
                'commands' => Schema::listOf(Schema::object([
                    'controlId' => Schema::text(), 'from' => Schema::text(), 'kind' => Schema::text(), 'word' => Schema::orNull(Schema::text()), 'does' => Schema::text(),
                    'secret' => Schema::flag(), 'answers' => Schema::flag(), 'dangerous' => Schema::flag(),
                ])),
                'supply' => Schema::orNull(Schema::object(['firstV' => Schema::number(), 'steadyV' => Schema::number(), 'leastV' => Schema::number()])),
                'levelV' => Schema::orNull(Schema::number()), 'levelMostV' => Schema::orNull(Schema::number()),
            ])),
            'lamp' => Schema::listOf(Schema::object(['flashes' => Schema::text(), 'means' => Schema::text()])),
            'ends' => Schema::listOf(Schema::object([
                'endpointId' => Schema::text(), 'phone' => Schema::flag(), 'e164' => Schema::orNull(Schema::text()), 'valid' => Schema::flag(),
            ])),
        ]);
    }

    /** @return array<string, mixed> */
    public function panel(Plan $plan, Link $link, Knowledge $knowledge): array
    {
        $modems = [];
        foreach ($plan->endpointsOn($link) as $endpoint) {
            $modem = Modem::of($plan, $endpoint, $knowledge->catalogue);
            if ($modem !== null) {
                $modems[] = self::modem($plan, $modem, $knowledge);
            }
        }

        return [
            'allowed' => array_map(static fn (array $one): array => ['name' => $one['name'], 'number' => $one['number']], Commands::allowed($plan, $link)),
            'modems' => $modems,
            'lamp' => array_map(static fn (ModemLamp $lamp): array => ['flashes' => $lamp->flashes(), 'means' => $lamp->words()], ModemLamp::cases()),
            'ends' => array_map(static function (Endpoint $end) use ($plan): array {
                $number = Commands::number($plan, $end);

                return ['endpointId' => $end->id, 'phone' => $plan->node($end->nodeId)->kind === NodeKind::Phone, 'e164' => $number?->e164, 'valid' => $number->valid ?? false];
            }, $plan->endpointsOn($link)),
        ];
    }

    /** @return array<string, mixed> */
    private static function modem(Plan $plan, Modem $modem, Knowledge $knowledge): array
    {
        $droop = $modem->droop();
        $board = $knowledge->catalogue->boardOf($modem->node);
        $levelV = $board === null ? null : $modem->end->level->becomesV($board->logicV);

        return [
            'endpointId' => $modem->endpoint->id,
            'name' => $modem->node->name,
            'bringUp' => array_map(self::step(...), Dialogue::bringUp($plan, $modem)),
            'service' => array_map(self::step(...), Dialogue::service($plan, $modem)),
            'report' => array_map(self::step(...), Dialogue::report($plan, $modem)),
            'commands' => array_map(static fn (array $one): array => [
                'controlId' => $one['control']->id,
                'from' => $plan->node($one['control']->nodeId)->name,
                'kind' => $one['control']->kind->value,
                'word' => Commands::word($one['control']),
                'does' => RouteNames::does($plan, $one['route']),
                'secret' => Commands::needsSecret($one['control']),
                'answers' => Commands::answers($one['control']),
                'dangerous' => $one['output']->isDangerous(),
            ], Commands::to($plan, $modem->endpoint)),
            'supply' => $droop === null ? null : ['firstV' => round($droop->firstV(), 2), 'steadyV' => round($droop->steadyV(), 2), 'leastV' => $modem->class->minV ?? 0.0],
            'levelV' => $levelV === null ? null : round($levelV, 2),
            'levelMostV' => $modem->figures->has('inputMaxV') ? $modem->figures->number('inputMaxV') : null,
        ];
    }

    /** @return array<string, int|string> */
    private static function step(DialogueStep $step): array
    {
        return ['send' => $step->send, 'expect' => $step->expect, 'timeoutMs' => $step->timeoutMs, 'tries' => $step->tries, 'ifNot' => $step->ifNot, 'why' => $step->why, 'source' => $step->source];
    }
}
