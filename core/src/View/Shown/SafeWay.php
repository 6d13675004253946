<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Plan\Operation;
use Rundfunk\Shape\ListOf;

/** A set of remedies that does. */
final readonly class SafeWay
{
    public function __construct(
        public string $label,
        public int $cost,
        /** @var list<Operation> */
        #[ListOf('@Operation')] public array $operations,
    ) {
    }
}
