<?php

declare(strict_types=1);

namespace Rundfunk\Check;

/**
 * A rule whose findings about a thing hang only on what is near it: its node and all that is on it, whatever shares a
 * link with that node, and whatever a route of it leads from, over or to. After an edit such a rule looks at the
 * neighbourhood alone. One that compares across the whole plan, or whose fix looks for what is free anywhere, is none.
 */
interface LooksNearby extends Rule
{
}
