<?php

declare(strict_types=1);

namespace Tests\Golden;

use Rundfunk\Assign\Proposal;
use Rundfunk\Check\Finding;
use Rundfunk\Plan\Plan;
use Rundfunk\Shipped;
use RuntimeException;

/** What is found in a plan, and proposed for it, as it was when it was recorded: Faulty on purpose, and small plans drawn from nothing. */
final class Found
{
    public const FAULTY = 'faulty-on-purpose';

    private const FOLDER = __DIR__.'/found';

    /** @return list<string> of the plans that were recorded, the smallest first: what no longer holds shows soonest in those */
    public static function names(): array
    {
        $files = glob(self::FOLDER.'/*.json.gz') ?: [];
        usort($files, static fn (string $a, string $b): int => filesize($a) <=> filesize($b));

        return array_map(static fn (string $file): string => basename($file, '.json.gz'), $files);
    }

    /** @return array{plan: string, found: array<string, string>, proposed: list<string>|null} the plan's file; the whole of each finding, by its id; the whole of each proposal, of small plans: {@see Outcomes} has those of the demos */
    public static function kept(string $name): array
    {
        $kept = json_decode((string) gzdecode((string) file_get_contents(self::file($name))), true, 8, JSON_THROW_ON_ERROR);
        if (! is_array($kept) || ! is_string($kept['plan'] ?? null) || ! is_array($kept['found'] ?? null)) {
            throw new RuntimeException('What was recorded cannot be read.');
        }
        /** @var array<string, string> $found */
        $found = $kept['found'];
        /** @var list<string>|null $proposed */
        $proposed = $kept['proposed'];

        return ['plan' => $kept['plan'], 'found' => $found, 'proposed' => $proposed];
    }

    /** @return array<string, string> of each finding its whole, by its id, in the order in which they are shown */
    public static function in(Plan $plan): array
    {
        $found = Shipped::checker()->check($plan)->all();

        return array_combine(array_map(static fn (Finding $one): string => $one->id(), $found), array_map(self::json(...), $found));
    }

    /** @return list<string> of each proposal its whole, in the order in which they are made */
    public static function proposed(Plan $plan): array
    {
        return array_map(self::json(...), Shipped::assigner()->assign($plan)->proposals);
    }

    public static function record(string $name, string $plan, Plan $read): void
    {
        file_put_contents(self::file($name), gzencode(self::json(['plan' => $plan, 'found' => self::in($read), 'proposed' => $name === self::FAULTY ? null : self::proposed($read)]), 9));
    }

    public static function forget(string $name): void
    {
        unlink(self::file($name));
    }

    private static function file(string $name): string
    {
        return self::FOLDER."/{$name}.json.gz";
    }

    /** @param  Finding|Proposal|array<string, mixed>  $of */
    private static function json(Finding|Proposal|array $of): string
    {
        return json_encode($of, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }
}
