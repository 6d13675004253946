<?php

declare(strict_types=1);

use App\Models\PlanRecord;
use Illuminate\Support\Facades\Artisan;

// Findings are kept with each plan, and so is what was read of it. A new edition of the program may find otherwise, and read
// otherwise, so that what an older one kept must go.
Artisan::command('plans:forget-kept', function (): void {
    PlanRecord::query()->toBase()->update(['findings' => null, 'stamps' => null]);
})->purpose('Forget what was kept of plans beside their rows, after an update of the program');
