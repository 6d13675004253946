<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Dmx\DmxEnd;
use Rundfunk\Medium\Dmx\DmxHops;
use Rundfunk\Medium\Dmx\DmxSayings;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** More for one control to say to a bridge than its line has time for. */
#[Finds('dmx-bridge-slow', WorkStep::Routes)]
final readonly class BridgeSlow implements LinkRule
{
    /** Two things farther apart in time are seen one after the other. Common practice. */
    private const SEEN_MS = 100.0;

    /** Below ten a fade is seen to jump. Common practice. */
    private const FEWEST_STEPS = 10;

    public function check(Link $link, Look $look): iterable
    {
        $universe = Universe::of($look->plan, $link);
        $sender = $universe->senders[0] ?? null;
        $end = $sender === null ? null : DmxEnd::of($sender);
        $textNs = $end === null || ! $end->bridges || $universe->settings->isNetwork ? 0 : DmxHops::textNs($end, $universe->slotsSent());
        if ($sender === null || $end === null || $textNs === 0) {
            return;
        }
        $slots = $fades = [];
        foreach ($universe->told($sender) as $hop) {
            $use = $universe->slotOf($hop);
            $route = $look->plan->route($hop->routeId);
            if ($use !== null) {
                $slots[$route->controlId] = ($slots[$route->controlId] ?? 0) + ($use->slot->fineAt === null ? 1 : 2);
                $fades[$route->controlId] = max($fades[$route->controlId] ?? 0, $route->fadeMs);
            }
        }
        foreach ($slots as $controlId => $count) {
            $allMs = $count * $textNs / 1_000_000;
            $late = $fades[$controlId] > 0 ? $fades[$controlId] / $allMs < self::FEWEST_STEPS : $allMs > self::SEEN_MS;
            if ($late) {
                yield $this->finding($look->plan, $universe, $sender, $controlId, $count, $allMs, $fades[$controlId]);
            }
        }
    }

    private function finding(Plan $plan, Universe $universe, Endpoint $sender, string $controlId, int $count, float $allMs, int $fadeMs): Finding
    {
        $control = $plan->control($controlId);
        $end = DmxEnd::of($sender);
        $faster = null;
        foreach ([19_200, 38_400, 57_600, 115_200] as $baud) {
            $thenMs = $allMs * $end->baud / $baud;
            $faster ??= $baud > $end->baud && ($fadeMs > 0 ? $fadeMs / $thenMs >= self::FEWEST_STEPS : $thenMs <= self::SEEN_MS) ? $baud : null;
        }
        $steps = max(1, (int) floor($fadeMs / $allMs));

        return Finding::warning(
            "{$control->name} tells the bridge ".Figures::counted($count, 'slot').', one after another in '.Figures::significant($allMs).' ms',
            Spot::of($sender, "{$universe->node($sender)->name} on {$universe->link->name}", 'baud'),
            "At {$end->baud} baud each takes ".Figures::significant($allMs / $count).' ms. '.($fadeMs > 0 ? 'A fade of '.DmxSayings::seconds($fadeMs).' comes to '.Figures::counted($steps, 'step').'.' : 'The last lamp is seen to come after the first.'),
            'A faster line, fewer slots at once, or a board that drives the wires itself.',
            $faster === null ? null : Fix::settings("Set {$faster} baud", $sender, ['baud' => $faster]),
            numbers: ['slots' => $count, 'all_ms' => round($allMs, 2)],
            about: [$universe->link->id, $controlId],
        );
    }
}
