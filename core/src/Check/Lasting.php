<?php

declare(strict_types=1);

namespace Rundfunk\Check;

/**
 * A rule that finds something or nothing by what is near its subject, but whose words or fix hang on the whole plan, as the
 * shortest way there is does. What it has found it is asked about after every edit, as long as it finds it.
 */
interface Lasting
{
}
