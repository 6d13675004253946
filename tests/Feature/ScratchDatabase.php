<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Support\Facades\DB;

/** An empty database of the test's own, on the same server, which goes with it. */
trait ScratchDatabase
{
    public function createApplication(): Application
    {
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    /** @param  array<int, bool>  $options  of PDO */
    protected function useScratch(string $name, array $options = []): void
    {
        DB::connection()->getPdo()->exec("DROP DATABASE IF EXISTS {$name}; CREATE DATABASE {$name} CHARACTER SET utf8mb4");
        config(['database.connections.mariadb.database' => $name, ...($options === [] ? [] : ['database.connections.mariadb.options' => $options])]);
        DB::purge();
    }

    protected function dropScratch(string $name): void
    {
        DB::connection()->getPdo()->exec("DROP DATABASE IF EXISTS {$name}");
        DB::disconnect();
    }
}
