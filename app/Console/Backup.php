<?php

declare(strict_types=1);

namespace App\Console;

use App\Backups\Copies;
use RuntimeException;

final class Backup extends OperatorCommand
{
    protected $signature = 'backup {file : that it becomes, such as rundfunk.sql.gz}';

    protected $description = 'Copy the whole database into a file, while it is in use';

    public function handle(Copies $copies): int
    {
        try {
            $copies->make($this->text('file'));
        } catch (RuntimeException $failed) {
            return $this->refuse($failed->getMessage());
        }
        $this->info("Copied into {$this->text('file')}.");

        return self::SUCCESS;
    }
}
