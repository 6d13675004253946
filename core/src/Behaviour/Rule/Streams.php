<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Look;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\ThingKind;

/** What sticks say again and again while they move, by the link that it goes over: found once a look, for few plans have any and links have thousands of hops. */
final readonly class Streams
{
    /** @param  array<string, list<array{stick: Control, hop: Hop}>>  $byLink */
    private function __construct(private array $byLink)
    {
    }

    /** @return list<array{stick: Control, hop: Hop}> */
    public static function over(Look $look, Link $link): array
    {
        return $look->once(self::class, static fn (): self => self::of($look))->byLink[$link->id] ?? [];
    }

    private static function of(Look $look): self
    {
        $byLink = [];
        $sticks = array_keys($look->plan->things(ThingKind::Control)->column('kind'), ControlKind::Axis, true);
        foreach ($look->plan->pick(Control::class, $sticks) as $stick) {
            foreach ($look->plan->routesFrom($stick) as $route) {
                foreach ($route->action === Action::Set && $route->value === null ? $look->plan->hopsOf($route) : [] as $hop) {
                    $byLink[$hop->linkId][] = ['stick' => $stick, 'hop' => $hop];
                }
            }
        }

        return new self($byLink);
    }
}
