<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Check\Look;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Power\Circuits\Cautions;
use Rundfunk\SafeState\Asked;
use Rundfunk\SafeState\Judgement;
use Rundfunk\SafeState\LeftToOwner;
use Rundfunk\SafeState\Phase;
use Rundfunk\View\Shown\PhaseNamed;
use Rundfunk\View\Shown\SafeCell;
use Rundfunk\View\Shown\SafeMatrix;
use Rundfunk\View\Shown\SafeRow;

/** What every load does in every phase: off, reset, link lost and the others. */
final readonly class SafeStatesView implements View
{
    public function key(): string
    {
        return 'safe-states';
    }

    public function owner(): null
    {
        return null;
    }

    public function shape(): string
    {
        return SafeMatrix::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): SafeMatrix
    {
        $look = new Look($plan, $knowledge);
        $outputs = array_values(array_filter($plan->outputs(), static fn (Output $output): bool => $output->kind->isWired() || $output->hazards !== []));

        return new SafeMatrix(
            array_map(static fn (Phase $phase): PhaseNamed => new PhaseNamed($phase->value, $phase->words()), Phase::cases()),
            array_map(static fn (Output $output): SafeRow => self::row($look, $output), $outputs),
            Cautions::of($look),
        );
    }

    private static function row(Look $look, Output $output): SafeRow
    {
        $judgement = Judgement::of($look, $output);
        if ($judgement === null) {
            return new SafeRow($output->id, $output->nodeId, $output->kind->isWired() ? Asked::of($look, $output) : null, LeftToOwner::why($output), 0, []);
        }
        $cells = array_map(static fn (Phase $phase): SafeCell => new SafeCell($phase->value, $phase === Phase::Welded && ! $output->isDangerous() ? '' : $judgement->in($phase)->word, $judgement->isUnsafe($phase, $judgement->setup)), Phase::cases());

        return new SafeRow($output->id, $output->nodeId, Asked::of($look, $output), null, count(array_filter($cells, static fn (SafeCell $cell): bool => $cell->isUnsafe)), $cells);
    }
}
