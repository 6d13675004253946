<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\AssignController;
use App\Http\Controllers\CalculatorController;
use App\Http\Controllers\CatalogueController;
use App\Http\Controllers\EditController;
use App\Http\Controllers\HearController;
use App\Http\Controllers\LearnController;
use App\Http\Controllers\NodeSheetController;
use App\Http\Controllers\PlanController;
use App\Http\Controllers\PlanFileController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\SetController;
use App\Http\Controllers\ViewController;
use App\Http\Middleware\AnswerUnchanged;
use Illuminate\Support\Facades\Route;

Route::get('session', [SessionController::class, 'show']);
Route::post('session', [SessionController::class, 'signIn'])->middleware('throttle:sign-in');
Route::post('registration', [SessionController::class, 'register'])->middleware('throttle:register');

// That nothing came costs less than to count what it costs.
Route::get('plans/{plan}/changes', [EditController::class, 'changes'])->middleware(['auth', AnswerUnchanged::class, 'budget']);

Route::middleware(['auth', 'budget'])->group(static function (): void {
    Route::delete('session', [SessionController::class, 'signOut']);
    Route::get('account', [AccountController::class, 'show']);
    Route::delete('account', [AccountController::class, 'delete'])->middleware('throttle:own-password');
    Route::put('account/password', [AccountController::class, 'changePassword'])->middleware('throttle:own-password');
    Route::delete('account/sessions', [AccountController::class, 'endOthers']);
    Route::delete('account/sessions/{session}', [AccountController::class, 'end']);
    Route::get('account/file', [AccountController::class, 'file'])->middleware('turns:heavy');

    Route::get('catalogue', CatalogueController::class);
    Route::get('calculators', [CalculatorController::class, 'index']);
    Route::post('calculators/{name}', [CalculatorController::class, 'calculate']);

    Route::get('plans', [PlanController::class, 'index']);
    Route::post('plans', [PlanController::class, 'create']);
    Route::post('plans/import', [PlanFileController::class, 'import'])->middleware(['throttle:import', 'turns:heavy']);
    Route::get('plans/{plan}', [PlanController::class, 'show']);
    Route::delete('plans/{plan}', [PlanController::class, 'delete']);
    Route::post('plans/{plan}/restore', [PlanController::class, 'restore']);
    Route::post('plans/{plan}/duplicate', [PlanController::class, 'duplicate'])->middleware('turns:heavy');
    Route::get('plans/{plan}/file', [PlanFileController::class, 'export']);
    Route::get('plans/{plan}/parts.csv', [PlanFileController::class, 'parts']);
    Route::get('plans/{plan}/line-map.svg', [PlanFileController::class, 'draw']);

    Route::get('plans/{plan}/views/{view}', ViewController::class);

    Route::post('plans/{plan}/operations', [EditController::class, 'apply'])->middleware('turns:edit');
    Route::post('plans/{plan}/undo', [EditController::class, 'undo'])->middleware('turns:edit');
    Route::post('plans/{plan}/redo', [EditController::class, 'redo'])->middleware('turns:edit');
    Route::get('plans/{plan}/history', [EditController::class, 'history']);
    Route::get('plans/{plan}/assignment', AssignController::class)->middleware('turns:heavy');

    Route::post('plans/{plan}/links/{link}/heard', [HearController::class, 'hear'])->middleware('turns:heavy');
    Route::post('plans/{plan}/links/{link}/described', [HearController::class, 'describe'])->middleware('turns:heavy');
    Route::post('plans/{plan}/nodes/{node}/learn', LearnController::class)->middleware('turns:heavy');
    Route::post('plans/{plan}/nodes/{node}/set', SetController::class)->middleware('turns:heavy');
    Route::get('plans/{plan}/nodes/{node}/sheet', [NodeSheetController::class, 'show']);
    Route::get('plans/{plan}/nodes/{node}/header', [NodeSheetController::class, 'header']);
    Route::get('plans/{plan}/nodes/{node}/artefacts/{artefact}', [NodeSheetController::class, 'artefact']);
    Route::get('plans/{plan}/nodes/{node}/wiring.csv', [NodeSheetController::class, 'wiring']);
});
