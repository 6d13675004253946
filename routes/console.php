<?php

declare(strict_types=1);

use App\Models\PlanRecord;
use Illuminate\Support\Facades\Artisan;

// Findings are kept with each plan. A new edition of the program may find otherwise, so that what an older one kept must go.
Artisan::command('plans:forget-findings', function (): void {
    PlanRecord::query()->toBase()->update(['findings' => null]);
})->purpose('Forget the findings that were kept, after an update of the program');
