<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Action;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Shape\Values;

/** One pass of a sequence as it goes by: when each step comes, and from when to when each output is on. */
final readonly class Strip
{
    /**
     * @param  list<array{atMs: int, name: string, id: string}>  $moments
     * @param  array<string, list<StripBar>>  $rows  by output, in the order in which they are first worked
     */
    private function __construct(public int $totalMs, public array $moments, public array $rows)
    {
    }

    public static function of(Plan $plan, Output $sequence): self
    {
        $at = 0;
        $moments = [];
        $asked = [];
        foreach (Steps::of($plan, $sequence) as $step) {
            $settings = new Values($step->settings);
            if ($settings->text('when') === 'stopped') {
                continue;
            }
            // A group's steps have no turn.
            $at += $sequence->kind === OutputKind::Sequence ? $settings->whole('afterMs') : 0;
            $moments[] = ['atMs' => $at, 'name' => $step->name, 'id' => $step->id];
            foreach ($plan->routesFrom($step) as $route) {
                $asked[$route->outputId][] = [$at, $route];
            }
        }
        $rows = [];
        foreach ($asked as $output => $those) {
            $rows[$output] = self::bars($those);
        }
        $ends = array_map(static fn (StripBar $bar): int => $bar->toMs ?? 0, array_merge(...array_values($rows)));

        return new self(max([$at + $sequence->setting('pauseMs'), ...$ends]), $moments, $rows);
    }

    /**
     * @param  list<array{int, Route}>  $asked
     * @return list<StripBar>
     */
    private static function bars(array $asked): array
    {
        $bars = [];
        $open = null;
        foreach ($asked as $index => [$at, $route]) {
            $next = $asked[$index + 1][0] ?? null;
            $was = $open;
            if ($open !== null) {
                $bars[] = $open->until($at);
                $open = null;
            }
            if ($route->action === Action::Pulse) {
                $end = $at + ($route->pulseMs ?? 1_000);
                $bars[] = new StripBar($route->id, 'on', $at, $next === null ? $end : min($end, $next));
            } elseif (! $route->putsOff() && ! ($route->action === Action::Toggle && $was !== null)) {
                $open = new StripBar($route->id, self::words($route), $at, null);
            }
        }

        return array_values(array_filter($open === null ? $bars : [...$bars, $open], static fn (StripBar $bar): bool => $bar->toMs !== $bar->fromMs));
    }

    private static function words(Route $route): string
    {
        return match ($route->action) {
            Action::Set => (string) ($route->value ?? 0),
            Action::Step => sprintf('%+d', $route->value ?? 1),
            default => 'on',
        };
    }
}
