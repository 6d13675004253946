<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Cables\CableRun;
use Rundfunk\Cables\CoreWant;
use Rundfunk\Cables\Crossing;
use Rundfunk\Check\Look;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Cable;
use Rundfunk\Plan\CoreUse;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\View\Shown\CableShown;
use Rundfunk\View\Shown\CablesShown;
use Rundfunk\View\Shown\CoreRow;
use Rundfunk\View\Shown\WantShown;

/** The cables at a node, core by core. What goes through one hangs on what lives at its other end. */
final readonly class CablesView implements LooksFar, View
{
    public function key(): string
    {
        return 'cables';
    }

    public function owner(): string
    {
        return Node::class;
    }

    public function shape(): string
    {
        return CablesShown::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): CablesShown
    {
        $look = new Look($plan, $knowledge);

        return new CablesShown(array_map(static fn (Cable $cable): CableShown => self::cable($look, $cable), self::at($plan, $of)));
    }

    /** @return list<Cable> those that end at a node, in order */
    public static function at(Plan $plan, string $nodeId): array
    {
        return array_values(array_filter($plan->of(Cable::class), static fn (Cable $cable): bool => $cable->fromId === $nodeId || $cable->toId === $nodeId));
    }

    public static function cable(Look $look, Cable $cable): CableShown
    {
        $plan = $look->plan;
        $run = CableRun::of($look, $cable);
        $rows = [];
        for ($core = 1; $core <= $cable->cores; $core++) {
            $rows[] = self::row($plan, $run, $core);
        }

        return new CableShown(
            $cable->id,
            $plan->node($cable->fromId)->name,
            $plan->node($cable->toId)->name,
            $rows,
            count($cable->freeCores()),
            array_map(static fn (CoreWant $want): WantShown => new WantShown(self::keyOf($want), self::named($plan, $want), $want->use->value, $want->linkId, $want->supplyId), $run->wants),
            array_map(static fn (CoreWant $want): string => self::named($plan, $want), $run->missing),
            $run->coreOhm() === null ? null : round($run->coreOhm(), 3),
            round($run->returnMa(), 1),
            $run->liftV() === null ? null : round($run->liftV(), 3),
            Crossing::words($plan, $run),
        );
    }

    private static function row(Plan $plan, CableRun $run, int $core): CoreRow
    {
        foreach ($run->cable->uses as $use) {
            if ($use->core === $core) {
                $want = $run->wantOf($use);
                $dropV = $use->use === CoreUse::Plus ? $run->dropV($use) : null;

                return new CoreRow(
                    $core,
                    $want === null ? null : self::keyOf($want),
                    $want->atFrom ?? $use->use->words(),
                    $want->atTo ?? $use->use->words(),
                    $want?->crosses === true,
                    $want === null ? 'nothing any more' : self::named($plan, $want),
                    $use->use === CoreUse::Plus ? round($run->peakMa($use), 1) : ($use->use === CoreUse::Ground ? round($run->returnMa(), 1) : null),
                    $dropV === null ? null : round($dropV, 3),
                    match ($want?->crosses) {
                        true => 'crosses',
                        false => 'straight, never crossed',
                        null => '',
                    },
                    $use->fromPin,
                    $use->toPin,
                );
            }
        }

        return new CoreRow($core, null, '', '', false, '', null, null, '', '', '');
    }

    private static function keyOf(CoreWant $want): string
    {
        return trim("{$want->use->value} {$want->linkId} {$want->supplyId}");
    }

    private static function named(Plan $plan, CoreWant $want): string
    {
        $of = match (true) {
            $want->linkId !== null => $plan->link($want->linkId)->name.': ',
            default => '',
        };

        return $of.$want->words();
    }
}
