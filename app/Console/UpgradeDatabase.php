<?php

declare(strict_types=1);

namespace App\Console;

use App\Backups\Copies;
use Illuminate\Database\Migrations\Migrator;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/** What every start does: nothing where the tables are those of this build; otherwise a copy first. */
final class UpgradeDatabase extends OperatorCommand
{
    /** So many copies are kept, the newest. */
    private const COPIES = 3;

    protected $signature = 'upgrade {folder : that copies are kept in}';

    protected $description = 'Bring the tables up to this build, after a copy of what is there';

    public function handle(Copies $copies, Migrator $migrator): int
    {
        $migrator->setConnection(config()->string('database.default'));
        $done = $migrator->repositoryExists() ? $migrator->getRepository()->getRan() : [];
        $pending = array_diff(array_keys($migrator->getMigrationFiles([database_path('migrations')])), $done);
        try {
            if ($pending !== [] && DB::select('show tables') !== []) {
                $this->copy($copies, $this->text('folder'));
            }
        } catch (RuntimeException $failed) {
            return $this->refuse('Nothing was changed. '.$failed->getMessage());
        }

        return $pending === [] ? self::SUCCESS : $this->call('migrate', ['--force' => true]);
    }

    private function copy(Copies $copies, string $folder): void
    {
        if (! is_dir($folder) && ! @mkdir($folder, 0700, true)) {
            throw new RuntimeException("There can be no folder {$folder}.");
        }
        $file = $folder.'/before-'.now()->format('Y-m-d-His').'.sql.gz';
        $copies->make($file);
        $this->info("What was there is in {$file}.");
        $all = glob($folder.'/before-*.sql.gz');
        foreach (array_slice($all === false ? [] : $all, 0, -self::COPIES) as $old) {
            unlink($old);
        }
    }
}
