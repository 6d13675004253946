<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Action;
use Rundfunk\Shape\ListOf;

/** What follows when a control is worked or let go: what the node drives itself, and what it tells others. */
final readonly class Does
{
    /**
     * @param  list<Drive>  $drives
     * @param  list<Tell>  $tells
     */
    public function __construct(
        #[ListOf(Drive::class)] public array $drives,
        #[ListOf(Tell::class)] public array $tells,
    ) {
    }

    /** That it holds nothing is told again too, to some at least. */
    public function saysBoth(): bool
    {
        return array_filter($this->tells, static fn (Tell $tell): bool => $tell->both === true) !== [];
    }

    /** What says how something stands, so that to say it again changes nothing. */
    public function lasting(): self
    {
        return $this->where(true);
    }

    /** What happens once, when something turns. */
    public function passing(): self
    {
        return $this->where(false);
    }

    private function where(bool $lasting): self
    {
        $is = static fn (Drive|Tell $one): bool => ($one->action->holds() || ($one->action === Action::Set && $one->value === null)) === $lasting;

        return new self(array_values(array_filter($this->drives, $is)), array_values(array_filter($this->tells, $is)));
    }
}
