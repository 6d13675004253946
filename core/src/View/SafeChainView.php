<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Check\Look;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\SafeState\ChainLink;
use Rundfunk\SafeState\Judgement;
use Rundfunk\SafeState\Phase;
use Rundfunk\SafeState\Remedy;
use Rundfunk\SafeState\Rule\Unsafe;
use Rundfunk\SafeState\Search;
use Rundfunk\View\Shown\ChainShown;
use Rundfunk\View\Shown\PhaseChain;
use Rundfunk\View\Shown\SafeChains;
use Rundfunk\View\Shown\SafeWay;

/** Pin, driver, coil, contact, load of one output in every phase, and what would make it safe. */
final readonly class SafeChainView implements View
{
    public function key(): string
    {
        return 'safe-chain';
    }

    public function owner(): string
    {
        return Output::class;
    }

    public function shape(): string
    {
        return SafeChains::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): ?SafeChains
    {
        $look = new Look($plan, $knowledge);
        $judgement = Judgement::of($look, $plan->output($of));
        if ($judgement === null) {
            return null;
        }
        $unsafe = $judgement->unsafe();
        $ways = $judgement->ways($unsafe);

        return new SafeChains(
            array_map(static fn (Phase $phase): PhaseChain => self::phase($judgement, $phase), Phase::cases()),
            array_map(self::way(...), $ways),
            $unsafe === [] || $ways !== [],
            $judgement->setup->changeover,
        );
    }

    private static function phase(Judgement $judgement, Phase $phase): PhaseChain
    {
        $standing = $judgement->in($phase);

        return new PhaseChain($phase->value, $phase->when(), $standing->word, $judgement->isUnsafe($phase, $judgement->setup), array_map(static fn (ChainLink $link): ChainShown => new ChainShown($link->what, $link->is, $link->why), $standing->chain));
    }

    /** @param  list<Remedy>  $way */
    private static function way(array $way): SafeWay
    {
        $fix = Unsafe::fix($way);

        return new SafeWay($fix->label, Search::cost($way), $fix->operations);
    }
}
