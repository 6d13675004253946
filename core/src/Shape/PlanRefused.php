<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

use RuntimeException;

/** The input is not a plan, or not an edit, that can be kept. Nothing was changed. */
final class PlanRefused extends RuntimeException
{
    /** @param  non-empty-list<Problem>  $problems */
    private function __construct(public readonly array $problems, string $message)
    {
        parent::__construct($message);
    }

    /** @param  non-empty-list<Problem>  $problems */
    public static function because(array $problems): self
    {
        $first = $problems[0];
        $more = count($problems) - 1;

        return new self($problems, "{$first->place} {$first->message}".($more === 0 ? '.' : " (and {$more} more)."));
    }

    public static function at(string $place, string $message): self
    {
        return self::because([new Problem($place, $message)]);
    }
}
