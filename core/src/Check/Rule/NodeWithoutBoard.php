<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

final readonly class NodeWithoutBoard implements LooksNearby
{
    public function key(): string
    {
        return 'node-without-board';
    }

    public function reads(): array
    {
        return [ThingKind::Node];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->nodes() as $node) {
            if ($node->board === null && ! $node->kind->isBought()) {
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    "{$node->name} has no board yet",
                    Subject::of($node, $node->name, 'board'),
                    [],
                    'Without a board there are no pins to wire, and nothing can be said of levels or supply.',
                    'Choose the class of board it is built on.',
                );
            }
        }
    }
}
