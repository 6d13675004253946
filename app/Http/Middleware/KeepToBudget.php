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
 * So much of the server's time a minute, for an account and for an address, whatever it is spent on. An open page with two
 * people at work on the largest plan uses a tenth of it.
 */
final readonly class KeepToBudget
{
    /** ms a minute. */
    private const ACCOUNT = 20_000;

    /** A household, or a club, behind one address. ms a minute. */
    private const ADDRESS = 60_000;

    public function __construct(private Spending $spending)
    {
    }

    /** What takes less is mostly the counting. Floods of it are for the web server to stop. ms. */
    private const WORTH_COUNTING = 10;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $factor = max(1, (int) getenv('RATE_LIMIT_FACTOR'));
        $budgets = ['time of '.SignedIn::user($request)->id => self::ACCOUNT * $factor, "time from {$request->ip()}" => self::ADDRESS * $factor];
        $wait = $this->spending->wait($budgets);
        if ($wait !== null) {
            return new JsonResponse(['message' => "This is more than the server works out for one in a minute. Try again in {$wait} s."], 429, ['Retry-After' => (string) $wait]);
        }
        $began = hrtime(true);
        try {
            return $next($request);
        } finally {
            $ms = intdiv(hrtime(true) - $began, 1_000_000);
            if ($ms >= self::WORTH_COUNTING) {
                $this->spending->add($budgets, $ms);
            }
        }
    }
}
