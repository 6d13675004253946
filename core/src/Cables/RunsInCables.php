<?php

declare(strict_types=1);

namespace Rundfunk\Cables;

use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** A medium that is wires. */
interface RunsInCables
{
    /**
     * @param  string  $fromId  a node
     * @param  string  $toId  another
     * @return list<CoreWant> what must run between them for a link, ground left out; none where they are no neighbours on it
     */
    public function cores(Plan $plan, Link $link, string $fromId, string $toId): array;

    /** @return list<array{string, string}> nodes between which a cable must lie, each pair once */
    public function stretches(Plan $plan, Link $link): array;
}
