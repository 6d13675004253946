<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Catalogue\SupplySort;
use Rundfunk\Check\Look;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\Supply;

/** What is to be said of each supply of a tree: whether it holds, what it lacks, how warm it gets. */
final class Verdicts
{
    /** What the small regulator of a board sheds without a heat sink, watts. Trade book §13: a small tab package. */
    public const BOARD_W = 1.0;

    /** What a cable may lose of what is fed into it. Common practice: a twentieth. */
    public const CABLE_SHARE = 0.05;

    /** @var array<string, bool> by supply */
    private array $sound = [];

    public function __construct(public readonly SupplyTree $tree)
    {
    }

    /** Of the plan that rules look at, worked out once for all of them. */
    public static function in(Look $look): self
    {
        return $look->once(self::class, static fn (): self => new self(SupplyTree::in($look)));
    }

    /** @return float|null what is left at the board that it feeds, with everything at its peak at once; null where it feeds none, or nobody can tell */
    public function leftAtBoardV(Supply $supply): ?float
    {
        $volts = $this->tree->volts($supply);

        return $this->tree->feedsAt($supply) === null || $volts === null ? null : max(0.0, $volts->minV + $this->tree->leadDropV($supply) - ($supply->sourceOhm ?? $this->tree->classOf($supply)->sourceOhm) * $this->tree->load($supply)->peakMa / 1000);
    }

    /** The board that it feeds starts again when everything draws at once. */
    public function brownsOut(Supply $supply): bool
    {
        $leftV = $this->leftAtBoardV($supply);
        $board = $this->tree->board($supply);

        return $leftV !== null && $board !== null && $leftV < $board->own->brownOutV - 1e-6;
    }

    public function isOverloaded(Supply $supply): bool
    {
        $limitMa = $this->tree->limitMa($supply);

        return $limitMa !== null && $this->tree->load($supply)->peakMa > $limitMa + 1e-6;
    }

    /** Its cable loses more of the voltage than it should. */
    public function losesVolts(Supply $supply): bool
    {
        $volts = $this->tree->volts($supply);

        return $volts !== null && $supply->cableM !== null && $supply->cableMm2 !== null && $this->tree->cableDropV($supply) > self::CABLE_SHARE * $volts->nominalV;
    }

    /** Its cable gets hot of what flows in it for hours. */
    public function isCableTooThin(Supply $supply): bool
    {
        return $supply->cableMm2 !== null && ! Cores::carries($supply->cableMm2, $this->tree->load($supply)->heldMa);
    }

    /** It bears what hangs on it once that runs, and not while it starts. A battery gives several times as much for a moment. */
    public function starvesAtStart(Supply $supply): bool
    {
        $limitMa = $this->tree->limitMa($supply);

        return $limitMa !== null && $this->tree->classOf($supply)->sort !== SupplySort::Battery && (Start::worst($this->tree, $supply)->milliamperes ?? 0.0) > $limitMa + 1e-6;
    }

    /** @return float|null what its input lacks for it to hold its output; null where nothing is lacking, or nothing known */
    public function lackingV(Supply $supply): ?float
    {
        $takes = $this->tree->classOf($supply)->takes;
        $parent = $this->tree->parent($supply);
        $in = $parent === null ? null : $this->tree->volts($parent);
        $out = $this->tree->volts($supply);
        if ($takes === null || $in === null || $out === null) {
            return null;
        }
        $boosts = $takes->efficiencyPercent !== null && $takes->dropoutV === 0.0;
        $leastV = max($takes->minV ?? 0.0, $boosts ? 0.0 : $out->nominalV + $takes->dropoutV);

        return $in->isBelow($leastV) ? $leastV - $in->minV : null;
    }

    /** Its input is more than it stands. */
    public function isOverfed(Supply $supply): bool
    {
        $takes = $this->tree->classOf($supply)->takes;
        $parent = $this->tree->parent($supply);

        return $takes !== null && $parent !== null && $this->tree->volts($parent)?->isAbove($takes->maxV) === true;
    }

    /** @return float watts that a linear regulator sheds for as long as all that can be on is on; 0 for another */
    public function heatW(Supply $supply): float
    {
        $parent = $this->tree->parent($supply);
        $in = $parent === null ? null : $this->tree->volts($parent);
        $out = $this->tree->volts($supply);

        return $this->tree->classOf($supply)->sort !== SupplySort::Linear || $in === null || $out === null ? 0.0 : max(0.0, $in->nominalV - $out->nominalV) * $this->tree->load($supply)->heldMa / 1000;
    }

    public function isTooHot(Supply $supply): bool
    {
        $heatW = $this->tree->classOf($supply)->takes?->heatW;

        return $heatW !== null && $this->heatW($supply) > $heatW + 1e-6;
    }

    /** @return float watts that the regulator of a board that is fed before it sheds for as long as all that can be on is on; 0 where it is fed behind it, or nobody can tell */
    public function boardHeatW(Supply $supply): float
    {
        $board = $this->tree->board($supply);
        // One that has no such input is another finding.
        $in = $this->tree->feedsAt($supply) === FeedsAt::Vin && $board?->input(FeedsAt::Vin) !== null ? $this->tree->volts($supply) : null;
        $out = $board?->rail((string) FeedsAt::FiveVolt->pinClass());

        return $in === null || $out === null ? 0.0 : max(0.0, $in->nominalV - $out->volts) * $this->tree->throughBoard($supply)->heldMa / 1000;
    }

    public function isBoardTooHot(Supply $supply): bool
    {
        return $this->boardHeatW($supply) > self::BOARD_W + 1e-6;
    }

    /** Nothing is wrong with it or with what it lives on, as far as anybody can tell. */
    public function isSound(Supply $supply): bool
    {
        if (! isset($this->sound[$supply->id])) {
            // Whoever asks again on the way round gets no.
            $this->sound[$supply->id] = false;
            $this->sound[$supply->id] = $this->isSoundItself($supply) && array_filter($this->tree->bearers($supply), fn (Supply $one): bool => ! $this->isSound($one)) === [];
        }

        return $this->sound[$supply->id];
    }

    private function isSoundItself(Supply $supply): bool
    {
        $class = $this->tree->classOf($supply);
        $parent = $this->tree->parent($supply);
        $orphan = $class->sort->isFed() && $parent === null;
        $far = $parent !== null && $this->tree->isOutOfReach($supply->nodeId, $parent);
        $gone = $class->isBoardPin() && $this->tree->rail($supply) === null;

        return ! $orphan && ! $far && ! $gone && ! $this->tree->isCircular($supply) && ! $this->isOverloaded($supply) && ! $this->brownsOut($supply) && ! $this->isCableTooThin($supply) && ! $this->losesVolts($supply) && ! $this->starvesAtStart($supply) && ! $this->isOverfed($supply) && $this->lackingV($supply) === null && ! $this->isTooHot($supply) && ! $this->isBoardTooHot($supply);
    }
}
