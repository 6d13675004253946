<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Answers under its own name alone: a foreign one that leads here (DNS rebinding, a forged Host) gets nothing. */
final class CheckHost
{
    private const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $own = parse_url(mb_strtolower(config()->string('app.url')), PHP_URL_HOST);
        $names = in_array($own, self::LOOPBACK, true) ? self::LOOPBACK : [$own];

        return in_array($request->getHost(), $names, true) ? $next($request) : new JsonResponse(['message' => 'This is not the name of this server. Whoever runs it sets APP_URL.'], 421);
    }
}
