<?php

declare(strict_types=1);

namespace App\Providers;

use App\Accounts\SparingSessionHandler;
use App\Database\RepeatableBlueprint;
use App\Http\SignedIn;
use App\Limits\Slots;
use App\Plans\Edition;
use App\Plans\Kept;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;
use Rundfunk\Assign\Assigner;
use Rundfunk\Calculator\Calculators;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Check\Checker;
use Rundfunk\Knowledge;
use Rundfunk\Shipped;
use Rundfunk\View\Views;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(Slots::class, static fn (): Slots => new Slots(storage_path('framework/slots')));
        $this->app->bind(Blueprint::class, RepeatableBlueprint::class);
        $this->app->singleton(Edition::class, static fn (): Edition => Edition::running(storage_path('framework/edition')));
        $this->app->singleton(Knowledge::class, static fn (Application $app): Knowledge => Shipped::knowing($app->make(Kept::class)->ofProgram('catalogue', Catalogue::class, Shipped::catalogue(...))));
        $this->app->singleton(Checker::class, static fn (Application $app): Checker => Shipped::checker($app->make(Knowledge::class)));
        $this->app->singleton(Calculators::class, static fn (Application $app): Calculators => Shipped::calculators($app->make(Knowledge::class)));
        $this->app->singleton(Views::class, static fn (Application $app): Views => Shipped::views($app->make(Knowledge::class)));
        $this->app->singleton(Assigner::class, static fn (Application $app): Assigner => Shipped::assigner($app->make(Knowledge::class)));
    }

    /** What was given as an address, when it is a text at all: the limit is asked before the fields are. */
    private static function address(Request $request): string
    {
        $email = $request->input('email');

        return is_string($email) ? mb_strtolower($email) : '';
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        // A disk that is full takes no log either: that fails nothing.
        config(['logging.channels.stack.ignore_exceptions' => true]);
        // Under whatever name and scheme the page came, its parts come from there too.
        Vite::createAssetPathsUsing(static fn (string $path): string => '/'.$path);
        config(['session.secure' => str_starts_with(config()->string('app.url'), 'https://')]);
        Session::extend('database', static function (Application $app): SparingSessionHandler {
            return new SparingSessionHandler(DB::connection(), 'sessions', config()->integer('session.lifetime'), $app);
        });
        // What a proxy says of where a request comes from is believed of those alone that are named.
        TrustProxies::at(array_values(array_filter(explode(',', (string) getenv('TRUSTED_PROXIES')), static fn (string $address): bool => $address !== '')));
        // The browser tests make an account each, all from one address.
        $factor = max(1, (int) getenv('RATE_LIMIT_FACTOR'));
        RateLimiter::for('sign-in', static fn (Request $request): array => [
            Limit::perMinute(6 * $factor)->by('sign-in '.self::address($request).' '.$request->ip()),
            Limit::perMinute(30 * $factor)->by('sign-in '.$request->ip()),
        ]);
        RateLimiter::for('register', static fn (Request $request): Limit => Limit::perMinute(6 * $factor)->by('register '.$request->ip()));
        RateLimiter::for('own-password', static fn (Request $request): Limit => Limit::perMinute(6 * $factor)->by('own-password '.SignedIn::user($request)->id));
        RateLimiter::for('import', static fn (Request $request): Limit => Limit::perMinute(12 * $factor)->by('import '.SignedIn::user($request)->id));
    }
}
