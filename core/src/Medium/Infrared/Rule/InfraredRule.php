<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Fix;
use Rundfunk\Check\Rule;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Infrared\Infrared;
use Rundfunk\Medium\Infrared\IrEmitter;
use Rundfunk\Medium\Infrared\Protocols;
use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** What every rule of infrared looks at. */
abstract readonly class InfraredRule implements Rule
{
    public function __construct(protected Protocols $protocols)
    {
    }

    public function reads(): array
    {
        return [
            ThingKind::Node, ThingKind::Module, ThingKind::Link, ThingKind::Endpoint, ThingKind::Control, ThingKind::Output,
            ThingKind::KeyCode, ThingKind::Route, ThingKind::Hop,
        ];
    }

    /** @return list<array{link: Link, node: Node, code: KeyCode}> every code of whatever was bought and is on an infrared link */
    protected static function codes(Plan $plan): array
    {
        $found = [];
        foreach ($plan->linksOver(Infrared::KEY) as $link) {
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $node = $plan->node($endpoint->nodeId);
                foreach ($plan->keyCodesOf($node) as $code) {
                    $found[] = ['link' => $link, 'node' => $node, 'code' => $code];
                }
            }
        }

        return $found;
    }

    /** @return list<array{link: Link, endpoint: Endpoint, node: Node, emitter: IrEmitter}> our own emitters */
    protected static function emitters(Plan $plan, Knowledge $knowledge): array
    {
        $found = [];
        foreach ($plan->linksOver(Infrared::KEY) as $link) {
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $emitter = IrEmitter::of($plan, $endpoint, $knowledge->catalogue);
                if ($emitter !== null) {
                    $found[] = ['link' => $link, 'endpoint' => $endpoint, 'node' => $plan->node($endpoint->nodeId), 'emitter' => $emitter];
                }
            }
        }

        return $found;
    }

    /** @return list<array{link: Link, hop: Hop, code: KeyCode}> every hop over infrared that has a code */
    protected static function sends(Plan $plan): array
    {
        $found = [];
        foreach ($plan->linksOver(Infrared::KEY) as $link) {
            foreach ($plan->hopsOver($link) as $hop) {
                foreach (LearnedCodes::all($plan, $hop) as $code) {
                    $found[] = ['link' => $link, 'hop' => $hop, 'code' => $code];
                }
            }
        }

        return $found;
    }

    /** @param  array<string, mixed>  $values */
    protected static function setEnd(Endpoint $endpoint, string $label, array $values): Fix
    {
        return new Fix($label, Operation::change(ThingKind::Endpoint, $endpoint->id, ['settings' => $values]));
    }
}
