<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\SignedIn;
use App\Limits\Spending;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * So much of the server's time a minute, for an account and for an address, whatever it is spent on: a hundred edits of the
 * largest plan. Whoever runs it may say more (TIME_BUDGET_SECONDS), as ./run does for the one household that it is for.
 */
final readonly class KeepToBudget
{
    /** Of an account, s a minute. */
    private const SECONDS = 20;

    /** A household, or a club, behind one address may use as much as so many accounts. */
    private const ACCOUNTS = 3;

    /** What takes less is mostly the counting. Floods of it are for the web server to stop. ms. */
    private const WORTH_COUNTING = 10;

    public function __construct(private Spending $spending)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $told = (int) getenv('TIME_BUDGET_SECONDS');
        $ms = 1_000 * ($told > 0 ? $told : self::SECONDS) * max(1, (int) getenv('RATE_LIMIT_FACTOR'));
        $budgets = ['time of '.SignedIn::user($request)->id => $ms, "time from {$request->ip()}" => $ms * self::ACCOUNTS];
        $wait = $this->spending->wait($budgets);
        if ($wait !== null) {
            return new JsonResponse(['message' => "This is more than the server works out for one in a minute. Try again in {$wait} s."], 429, ['Retry-After' => (string) $wait]);
        }
        $began = hrtime(true);
        try {
            return $next($request);
        } finally {
            $took = intdiv(hrtime(true) - $began, 1_000_000);
            if ($took >= self::WORTH_COUNTING) {
                $this->spending->add($budgets, $took);
            }
        }
    }
}
