<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Format\From1;
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
        $written = (new PlanWriter)->write($plan);
        self::assertSame($written, (new PlanWriter)->write((new PlanReader(self::knowledge()))->read($written)));
        $before = json_decode($kept['plan'], true);
        self::assertIsArray($before);
        // These were recorded in format 1: what feeds a module, and what stands at a modem, is something else since.
        $before = ($before['format'] ?? null) === 1 ? From1::read($before) : $before;
        self::assertHolds(array_diff_key($before, ['supplies' => true, 'parts' => true]), json_decode($written, true), 'plan');
        $outcomes = Outcomes::of($plan, self::knowledge());
        // A node may come to have more files; none goes.
        self::assertSame([], array_diff(array_keys($kept['outcomes']), array_keys($outcomes)));
        foreach ($kept['outcomes'] as $name => $text) {
            self::assertSame($text, $outcomes[$name], (string) $name);
        }
    }

    /** A plan file may gain kinds and fields, in their place among the others; it loses none, and nothing in it changes. */
    private static function assertHolds(mixed $before, mixed $now, string $place): void
    {
        if (! is_array($before) || ! is_array($now)) {
            self::assertSame($before, $now, $place);

            return;
        }
        self::assertSame(array_keys($before), array_values(array_intersect(array_keys($now), array_keys($before))), $place);
        // An empty record looks like an empty list.
        if ($before !== [] && array_is_list($before)) {
            self::assertSameSize($before, $now, $place);
        }
        foreach ($before as $key => $value) {
            self::assertHolds($value, $now[$key], $place.'/'.$key);
        }
    }
}
