<?php

declare(strict_types=1);

namespace Tests\Core;

use Rundfunk\Format\PlanReader;
use Tests\Golden\Found;

/**
 * Of one example of everything that can go wrong, the whole of each finding as an earlier build said it: words, figures, what it is about, each fix.
 * Where that is changed on purpose, `php tests/Golden/record.php` records it anew, and the commit says why.
 */
final class FoundAsBeforeTest extends CoreTestCase
{
    public function test_each_finding_says_what_it_said(): void
    {
        ['plan' => $plan, 'found' => $found] = Found::kept();
        self::assertSame($found, Found::in((new PlanReader(self::knowledge()))->read($plan)));
    }
}
