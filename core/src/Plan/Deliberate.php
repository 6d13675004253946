<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** A sharing that looks like a mistake and is meant. */
enum Deliberate: string
{
    /** Several receivers listen on one address on purpose. */
    case Broadcast = 'broadcast';
    /** Several controls drive one output in ways that contradict each other, on purpose. */
    case ManyMasters = 'many-masters';
}
