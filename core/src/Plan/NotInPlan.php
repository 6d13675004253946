<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use RuntimeException;

/** Something was asked of a plan by an id that it does not hold. */
final class NotInPlan extends RuntimeException
{
    public static function thing(ThingKind $kind, string $id): self
    {
        return new self("No {$kind->value} has the id {$id} in this plan.");
    }
}
