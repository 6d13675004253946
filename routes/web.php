<?php

declare(strict_types=1);

use App\Http\Controllers\ShellController;
use Illuminate\Support\Facades\Route;

Route::get('/', ShellController::class);
