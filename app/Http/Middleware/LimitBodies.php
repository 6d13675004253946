<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Refuses what is larger than anything meant for an address, before anybody makes sense of it: 16 MB of JSON to the sign-in ended a worker. */
final class LimitBodies
{
    private const CREDENTIALS = 4_000;

    private const EDIT = 1_000_000;

    /** A capture is 2 MB at most, and JSON writes each of its line ends with two letters. */
    private const LESSON = 4_500_000;

    private const PLAN = 12_000_000;

    /** A minute or two of a busy bus. */
    private const RECORDING = 12_500_000;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $most = match (true) {
            $request->is('api/session', 'api/registration', 'api/account*') => self::CREDENTIALS,
            $request->is('api/plans/import') => self::PLAN,
            $request->is('api/plans/*/nodes/*/learn') => self::LESSON,
            $request->is('api/plans/*/links/*/heard', 'api/plans/*/links/*/described') => self::RECORDING,
            default => self::EDIT,
        };
        $length = (int) $request->headers->get('Content-Length', '0');
        if ($length <= $most && ! $request->isMethodSafe()) {
            $length = max($length, strlen($request->getContent()));
        }

        return $length <= $most ? $next($request) : new JsonResponse(['message' => 'This is larger than what can be sent here: '.intdiv($length, 1000).' kB, of at most '.intdiv($most, 1000).'.'], 413);
    }
}
