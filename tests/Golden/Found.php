<?php

declare(strict_types=1);

namespace Tests\Golden;

use Rundfunk\Check\Finding;
use Rundfunk\Plan\Plan;
use Rundfunk\Shipped;
use RuntimeException;

/** What is found in Faulty on purpose as it was when it was recorded. */
final class Found
{
    private const FILE = __DIR__.'/found/faulty-on-purpose.json.gz';

    /** @return array{plan: string, found: array<string, string>} the plan's file, and of each finding its whole, by its id */
    public static function kept(): array
    {
        $kept = json_decode((string) gzdecode((string) file_get_contents(self::FILE)), true, 8, JSON_THROW_ON_ERROR);
        if (! is_array($kept) || ! is_string($kept['plan'] ?? null) || ! is_array($kept['found'] ?? null)) {
            throw new RuntimeException('What was recorded cannot be read.');
        }
        /** @var array<string, string> $found */
        $found = $kept['found'];

        return ['plan' => $kept['plan'], 'found' => $found];
    }

    /** @return array<string, string> of each finding its whole, by its id, in the order in which they are shown */
    public static function in(Plan $plan): array
    {
        $found = array_map(static fn (Finding $one): array => $one->jsonSerialize(), Shipped::checker()->check($plan)->all());

        return array_column(array_map(static fn (array $one): array => ['id' => $one['id'], 'says' => json_encode($one, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)], $found), 'says', 'id');
    }

    public static function record(string $plan, Plan $read): void
    {
        file_put_contents(self::FILE, gzencode(json_encode(['plan' => $plan, 'found' => self::in($read)], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE), 9));
    }
}
