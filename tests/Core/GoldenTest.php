<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Format\PlanReader;
use Rundfunk\Format\PlanWriter;
use Tests\Golden\Outcomes;

/**
 * What an earlier build said of some plans, this one says too, byte for byte. Where that is changed on purpose,
 * `php tests/Golden/record.php` records it anew, and the commit says why.
 */
final class GoldenTest extends CoreTestCase
{
    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        foreach (glob(dirname(__DIR__).'/Golden/*.json.gz') ?: [] as $file) {
            yield basename($file, '.json.gz') => [$file];
        }
    }

    #[DataProvider('files')]
    public function test_a_plan_is_found_assigned_and_exported_as_before(string $file): void
    {
        $kept = json_decode((string) gzdecode((string) file_get_contents($file)), true, 8, JSON_THROW_ON_ERROR);
        self::assertIsArray($kept);
        self::assertIsString($kept['plan']);
        self::assertIsArray($kept['outcomes']);
        $plan = (new PlanReader(self::knowledge()))->read($kept['plan']);
        self::assertSame($kept['plan'], (new PlanWriter)->write($plan));
        $outcomes = Outcomes::of($plan, self::knowledge());
        self::assertSame(array_keys($kept['outcomes']), array_keys($outcomes));
        foreach ($outcomes as $name => $text) {
            self::assertSame($kept['outcomes'][$name], $text, $name);
        }
    }
}
