<?php

declare(strict_types=1);

use App\Http\Middleware\BeginSession;
use App\Http\Middleware\CheckHeaderToken;
use App\Http\Middleware\CheckHost;
use App\Http\Middleware\CompressAnswers;
use App\Http\Middleware\GuardPages;
use App\Http\Middleware\KeepToBudget;
use App\Http\Middleware\LimitBodies;
use App\Http\Middleware\RefuseForeignOrigins;
use App\Http\Middleware\TakeTurns;
use App\Http\Refusals;
use App\Providers\AppServiceProvider;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ConvertEmptyStringsToNull;
use Illuminate\Foundation\Http\Middleware\TrimStrings;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Route;

return Application::configure(basePath: dirname(__DIR__))
    ->withProviders([AppServiceProvider::class], false)
    ->withCommands([__DIR__.'/../app/Console'])
    ->withRouting(
        commands: __DIR__.'/../routes/console.php',
        then: static function (): void {
            Route::middleware('web')->prefix('api')->group(__DIR__.'/../routes/api.php');
            Route::middleware('web')->group(__DIR__.'/../routes/web.php');
        },
    )
    ->withMiddleware(static function (Middleware $middleware): void {
        // A plan's texts are the user's own: nothing trims them or turns an empty note into null.
        $middleware->remove([HandleCors::class, TrimStrings::class, ConvertEmptyStringsToNull::class]);
        $middleware->prepend(LimitBodies::class);
        // The name it is asked by is known once it is known whether a proxy tells it.
        $middleware->append([GuardPages::class, CompressAnswers::class, CheckHost::class, RefuseForeignOrigins::class]);
        $middleware->alias(['turns' => TakeTurns::class, 'budget' => KeepToBudget::class]);
        $middleware->web(replace: [ValidateCsrfToken::class => CheckHeaderToken::class, StartSession::class => BeginSession::class]);
        $middleware->redirectGuestsTo('/sign-in');
    })
    ->withExceptions(static function (Exceptions $exceptions): void {
        Refusals::register($exceptions);
    })
    ->create();
