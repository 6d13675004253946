<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

use Rundfunk\Plan\Operation;

/**
 * One thing that can be done about an output.
 *
 * @phpstan-import-type Otherwise from Setup
 */
final readonly class Remedy
{
    /**
     * @param  string  $label  as on a button: "10 kΩ pull-up"
     * @param  Otherwise  $makes  what of the set-up it makes otherwise
     * @param  list<Operation>  $operations  on the plan
     */
    public function __construct(public RemedyKind $kind, public string $label, public array $makes, public array $operations)
    {
    }
}
