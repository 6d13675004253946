<?php

declare(strict_types=1);

namespace Rundfunk\Check;

/**
 * A rule that finds something or nothing by what is near a thing, as {@see LooksNearby} does, but whose words or fix hang on
 * the whole plan, as the shortest way there is does. While it finds nothing, a look nearby is enough.
 */
interface LooksNearbyFirst extends Rule
{
}
