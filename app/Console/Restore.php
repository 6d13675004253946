<?php

declare(strict_types=1);

namespace App\Console;

use App\Backups\Copies;
use RuntimeException;

final class Restore extends OperatorCommand
{
    protected $signature = 'restore {file : that backup made}';

    protected $description = 'Bring a copy back, into an empty database, and bring it up to this build';

    public function handle(Copies $copies): int
    {
        try {
            $copies->restore($this->text('file'));
        } catch (RuntimeException $failed) {
            return $this->refuse($failed->getMessage());
        }

        return $this->call('migrate', ['--force' => true]);
    }
}
