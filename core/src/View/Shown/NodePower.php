<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Shape\ListOf;

/** What feeds a node, from the source down, and what each of its modules gets. */
final readonly class NodePower
{
    public function __construct(
        /** @var list<RailRow> */
        #[ListOf(RailRow::class)] public array $rails,
        /** @var list<FedModule> */
        #[ListOf(FedModule::class)] public array $modules,
        /** @var list<BoardInputShown> */
        #[ListOf(BoardInputShown::class)] public array $inputs,
    ) {
    }
}
