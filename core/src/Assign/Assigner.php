<?php

declare(strict_types=1);

namespace Rundfunk\Assign;

use Rundfunk\Edit\Editor;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;

/** Proposes every value that is missing or cannot stay. Keeps what is pinned, changes as little as it can, gives a reason for each. */
final readonly class Assigner
{
    private Editor $editor;

    /** @param  list<Step>  $steps */
    public function __construct(public Knowledge $knowledge, private array $steps)
    {
        $this->editor = new Editor($knowledge);
    }

    public function assign(Plan $plan): Assignment
    {
        $proposals = [];
        foreach (Stage::cases() as $stage) {
            foreach ($this->steps as $step) {
                if ($step->stage() !== $stage) {
                    continue;
                }
                $proposed = [];
                foreach ($step->propose($plan, $this->knowledge->of($plan)) as $proposal) {
                    $proposed[] = $proposal;
                }
                if ($proposed !== []) {
                    $operations = array_merge(...array_map(static fn (Proposal $proposal): array => $proposal->operations, $proposed));
                    $plan = $this->editor->apply($plan, $operations)->plan;
                    $proposals = [...$proposals, ...$proposed];
                }
            }
        }

        return new Assignment($proposals, $plan);
    }
}
