<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** A page of another host changes nothing here, whatever it knows: browsers say where a request comes from (Fetch standard, Origin). */
final class RefuseForeignOrigins
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $origin = $request->headers->get('Origin');
        if ($origin === null || $request->isMethodSafe() || $origin === $request->getSchemeAndHttpHost()) {
            return $next($request);
        }

        return new JsonResponse(['message' => 'This came from a page of another host.'], 403);
    }
}
