<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Supply;

/** One way to feed a module: from a supply that is there, or from some that are to be bought. */
final readonly class FeedChoice
{
    /** @param  list<Supply>  $added  with the one that feeds it last, where that is among them */
    public function __construct(public Module $module, public Supply $supply, public array $added, public bool $bought)
    {
    }

    /** @return list<Operation> */
    public function operations(): array
    {
        return [
            ...array_map(Operation::add(...), $this->added),
            Operation::change(Module::kind(), $this->module->id, ['supplyId' => $this->supply->id]),
        ];
    }

    /** @return list<Supply> what of it is bought, the source first */
    public function toBuy(Catalogue $catalogue): array
    {
        return array_values(array_filter($this->added, static fn (Supply $supply): bool => ! $catalogue->supplyClassOf($supply)->isBoardPin()));
    }

    /** The plan with it. */
    public function in(Plan $plan): Plan
    {
        $draft = $plan->draft();
        foreach ($this->added as $supply) {
            $draft->put($supply);
        }
        $draft->change($this->module, ['supplyId' => $this->supply->id]);

        return $draft->plan();
    }
}
