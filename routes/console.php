<?php

declare(strict_types=1);

use App\Plans\Edition;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Artisan;

Artisan::command('edition', function (): void {
    /** @var Command $this */
    $this->line(Edition::ofCode()->name);
})->purpose('Say which build this is; what another build kept of plans is not believed');
