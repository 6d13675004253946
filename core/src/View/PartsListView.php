<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Build\PartLine;
use Rundfunk\Build\PartsList;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\View\Shown\PartLineShown;
use Rundfunk\View\Shown\PartsShown;

/** What to have on the table: of the whole plan, or of one node. */
final readonly class PartsListView implements View
{
    public function key(): string
    {
        return 'parts-list';
    }

    public function owner(): null
    {
        return null;
    }

    public function shape(): string
    {
        return PartsShown::class;
    }

    /** @param  string  $of  a node's id; the whole plan when it is none */
    public function of(string $of, Plan $plan, Knowledge $knowledge): PartsShown
    {
        $node = $plan->find(Node::kind(), $of);

        return new PartsShown(array_map(
            static fn (PartLine $line): PartLineShown => new PartLineShown($line->what, $line->rating, $line->quantity, $line->toBuy(), $line->where),
            PartsList::of($plan, $knowledge, $node instanceof Node ? $node : null)->lines,
        ));
    }
}
