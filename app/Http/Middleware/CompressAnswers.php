<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Sends JSON with its length, and long JSON compressed: a plan of 500 nodes is 4 MB of it, and a tenth of that compressed. */
final class CompressAnswers
{
    /** Below this a packet carries it as it is. */
    private const WORTH_IT = 4_000;

    /** Quick rather than small: a larger plan must not wait longer for this than for the wire. */
    private const LEVEL = 3;

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $response = $next($request);
        if (! $response instanceof JsonResponse) {
            return $response;
        }
        $content = (string) $response->getContent();
        if (strlen($content) >= self::WORTH_IT) {
            $response->headers->set('Vary', 'Accept-Encoding');
            $zipped = in_array('gzip', $request->getEncodings(), true) ? gzencode($content, self::LEVEL) : false;
            if ($zipped !== false) {
                $response->setContent($content = $zipped);
                $response->headers->set('Content-Encoding', 'gzip');
            }
        }
        // Whoever knows the length need not wait until the connection is closed, and the plan's memory given back.
        $response->headers->set('Content-Length', (string) strlen($content));

        return $response;
    }
}
