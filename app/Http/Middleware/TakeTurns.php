<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\SignedIn;
use App\Limits\Slots;
use App\Limits\Turns;
use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Whoever asks for more at once than his share comes again: nobody else waits for him. */
final readonly class TakeTurns
{
    /** Names of lock files are shared by accounts whose numbers differ by this. */
    private const ACCOUNTS = 4_096;

    public function __construct(private Slots $slots)
    {
    }

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next, string $kind): Response
    {
        $turns = Turns::from($kind);
        $account = SignedIn::user($request)->id % self::ACCOUNTS;
        $own = $this->slots->take("{$kind}-of-{$account}", $turns->ofAccount());
        $all = $own === null || $turns->ofAll() === null ? $own : $this->slots->take($kind, $turns->ofAll());
        $limit = (int) ini_get('max_execution_time');
        try {
            if ($own === null || $all === null) {
                return new JsonResponse(['message' => 'The server is busy with others of this kind. Try again in a moment.'], 503, ['Retry-After' => '1', 'X-Turn' => 'taken']);
            }
            set_time_limit(Turns::SECONDS);

            return $next($request);
        } finally {
            // What comes after it in the same process, a command's or a test's, is not this request's.
            set_time_limit($limit);
            $own?->giveBack();
            $all?->giveBack();
        }
    }
}
