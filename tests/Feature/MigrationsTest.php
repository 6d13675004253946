<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Foundation\Testing\TestCase as FrameworkTestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/** A migration that is cut off after any of its statements runs again and comes to the same tables. */
final class MigrationsTest extends FrameworkTestCase
{
    use ScratchDatabase;

    private const SCRATCH = 'rundfunk_test_migrations';

    protected function setUp(): void
    {
        parent::setUp();
        $this->useScratch(self::SCRATCH);
    }

    protected function tearDown(): void
    {
        $this->dropScratch(self::SCRATCH);
        parent::tearDown();
    }

    public function test_a_migration_that_was_cut_off_after_any_statement_runs_again(): void
    {
        Artisan::call('migrate', ['--force' => true]);
        $whole = self::tables();
        $this->useScratch(self::SCRATCH);
        $cuts = 0;
        foreach (glob(dirname(__DIR__, 2).'/database/migrations/*.php') ?: [] as $file) {
            // Attempt after attempt gets a statement further, through what those before it did already.
            for ($statements = 1; ! self::migrates($file, $statements); $statements++) {
                $cuts++;
            }
        }
        self::assertGreaterThan(60, $cuts);
        self::assertSame($whole, self::tables());
    }

    /** @return bool whether it came to its end before it was cut off */
    private static function migrates(string $file, int $statements): bool
    {
        DB::purge();
        $done = 0;
        DB::connection()->beforeExecuting(static function (string $query) use (&$done, $statements): void {
            $changes = preg_match('/^(create|alter|drop|insert|update|delete)\b(?!.*`migrations`)/', $query) === 1;
            if ($changes && $done++ === $statements) {
                throw new RuntimeException('The power is off.');
            }
        });
        try {
            Artisan::call('migrate', ['--force' => true, '--path' => $file, '--realpath' => true]);
        } catch (RuntimeException $off) {
            self::assertSame('The power is off.', $off->getMessage());

            return false;
        }

        return true;
    }

    /** @return array<string, string> how each is made */
    private static function tables(): array
    {
        $tables = [];
        foreach (DB::select('show tables') as $row) {
            $name = (string) current((array) $row);
            $tables[$name] = (string) preg_replace('/ AUTO_INCREMENT=\d+/', '', (string) (array_values((array) DB::selectOne("show create table `{$name}`"))[1] ?? ''));
        }

        return $tables;
    }
}
