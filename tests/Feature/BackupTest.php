<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Backups\Copies;
use App\Models\PlanRecord;
use App\Models\User;
use App\Plans\PlanStore;
use Illuminate\Foundation\Testing\TestCase as FrameworkTestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Rundfunk\Format\PlanWriter;
use Symfony\Component\Process\Process;
use Tests\Demos;

/** Copies of the database, made while it is in use, and brought back into an empty server. */
final class BackupTest extends FrameworkTestCase
{
    use ScratchDatabase;

    private const SCRATCH = 'rundfunk_test_backup';

    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        $this->folder = sys_get_temp_dir().'/rundfunk-backup-'.bin2hex(random_bytes(4));
        mkdir($this->folder, 0700);
        $this->useScratch(self::SCRATCH);
    }

    protected function tearDown(): void
    {
        $this->scripts('stop_database empty; rm -rf "$ROOT/var/db-empty"');
        $this->useDatabase(['database' => (string) getenv('DB_DATABASE'), 'port' => (string) getenv('DB_PORT'), 'password' => (string) getenv('DB_PASSWORD')]);
        $this->dropScratch(self::SCRATCH);
        array_map(unlink(...), glob($this->folder.'/*') ?: []);
        rmdir($this->folder);
        parent::tearDown();
    }

    /** @param  array<string, string>  $change */
    private function useDatabase(array $change): void
    {
        foreach ($change as $key => $value) {
            config(["database.connections.mariadb.{$key}" => $value]);
        }
        DB::purge();
    }

    private function scripts(string $command): string
    {
        $process = new Process(['bash', '-c', 'source scripts/common.sh; source scripts/database.sh; '.$command], dirname(__DIR__, 2), timeout: 60);
        $process->mustRun();

        return trim($process->getOutput());
    }

    private function planted(): PlanRecord
    {
        Artisan::call('migrate', ['--force' => true]);
        $ann = User::query()->create(['name' => 'Ånn "quoted" \\ ☂', 'email' => 'ann@linden-hollow.example', 'password' => 'x']);

        return app(PlanStore::class)->create($ann, Demos::lindenHollow());
    }

    private static function file(PlanRecord $record): string
    {
        return (new PlanWriter)->write(app(PlanStore::class)->look(User::query()->firstOrFail(), $record->id)->plan);
    }

    public function test_a_copy_comes_back_in_an_empty_server_to_the_byte(): void
    {
        $plan = $this->planted();
        $before = self::file($plan);
        $copy = $this->folder.'/a copy of Käthe\'s.sql.gz';
        self::assertSame(0, Artisan::call('backup', ['file' => $copy]), Artisan::output());
        self::assertSame(0600, fileperms($copy) & 0777);
        self::assertSame(1, Artisan::call('restore', ['file' => $copy]), 'there is something already');

        // A server of its own, as the start command makes one.
        $server = explode("\n", $this->scripts('start_database empty >/dev/null; make_database rundfunk; printf "%s\n" "$DB_PORT" "$DB_PASSWORD"'));
        self::assertCount(2, $server);
        self::assertNotSame((string) getenv('DB_PASSWORD'), $server[1]);
        $this->useDatabase(['port' => $server[0], 'password' => $server[1], 'database' => 'rundfunk']);
        self::assertSame([], DB::select('show tables'));
        self::assertSame(0, Artisan::call('restore', ['file' => $copy]), Artisan::output());
        self::assertSame($before, self::file(PlanRecord::query()->firstOrFail()));
        self::assertSame('Ånn "quoted" \\ ☂', User::query()->firstOrFail()->name);

        // Killed, it is started again where whoever uses it looks for it, and all of it is there.
        $this->scripts('kill -9 "$(cat var/db-empty/pid)"; while database_lives empty; do sleep 0.05; done; start_database empty >/dev/null');
        DB::purge();
        self::assertSame($before, self::file(PlanRecord::query()->firstOrFail()));
        self::assertSame('rw-------', substr(explode(' ', $this->scripts('ls -l var/db-empty/password'))[0], 1));
        self::assertSame('', $this->scripts('find var/db-empty -perm /077'), 'nobody else may read any of it');
    }

    public function test_an_upgrade_makes_a_copy_first_and_keeps_the_newest_three(): void
    {
        $plan = $this->planted();
        self::assertSame(0, Artisan::call('upgrade', ['folder' => $this->folder]));
        self::assertSame([], glob($this->folder.'/*'), 'nothing to do, nothing copied');
        for ($round = 0; $round < 5; $round++) {
            DB::table('migrations')->latest('id')->limit(1)->delete();
            $this->travel(1)->seconds();
            self::assertSame(0, Artisan::call('upgrade', ['folder' => $this->folder]), Artisan::output());
        }
        self::assertCount(3, glob($this->folder.'/before-*.sql.gz') ?: []);
        self::assertStringContainsString($plan->id, (string) gzdecode((string) file_get_contents((glob($this->folder.'/*') ?: [''])[0])));
    }

    public function test_an_empty_database_is_set_up_without_a_copy(): void
    {
        self::assertSame(0, Artisan::call('upgrade', ['folder' => $this->folder]), Artisan::output());
        self::assertSame([], glob($this->folder.'/*'));
        self::assertSame(0, PlanRecord::query()->count());
    }

    public function test_a_copy_that_could_fill_the_disk_is_refused_and_nothing_is_changed(): void
    {
        $this->planted();
        $ran = DB::table('migrations')->count();
        DB::table('migrations')->latest('id')->limit(1)->delete();
        self::assertSame(1, Artisan::call('upgrade', ['folder' => $this->folder.'/'.str_repeat('x', 300)]));
        self::assertStringContainsString('Nothing was changed.', Artisan::output());
        self::assertSame($ran - 1, DB::table('migrations')->count());
        $this->app->instance(Copies::class, new Copies(static fn (string $folder): float => 1_000.0));
        self::assertSame(1, Artisan::call('backup', ['file' => $this->folder.'/copy.sql.gz']));
        self::assertStringContainsString('too little room', Artisan::output());
        self::assertSame([], glob($this->folder.'/*'));
    }
}
