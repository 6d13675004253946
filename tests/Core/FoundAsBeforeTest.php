<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Format\PlanReader;
use Tests\Golden\Found;

/**
 * Of one example of everything that can go wrong, and of small plans drawn from nothing, the whole of each finding and of each
 * proposal as an earlier build said it: words, figures, what it is about, each fix. Where that is changed on purpose,
 * `php tests/Golden/record.php` records it anew, and the commit says why.
 */
final class FoundAsBeforeTest extends CoreTestCase
{
    /** @return iterable<string, array{string}> */
    public static function plans(): iterable
    {
        foreach (Found::names() as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('plans')]
    public function test_each_finding_and_each_proposal_says_what_it_said(string $name): void
    {
        ['plan' => $plan, 'found' => $found, 'proposed' => $proposed] = Found::kept($name);
        $read = (new PlanReader(self::knowledge()))->read($plan);
        self::assertSame($found, Found::in($read));
        if ($proposed !== null) {
            self::assertSame($proposed, Found::proposed($read));
        }
    }
}
