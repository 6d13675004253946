<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\SignedIn;
use App\Models\PlanRecord;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Asked every other second by everyone who has a plan open: as long as nothing came, its row says so, before anything is put together that would say more. */
final class AnswerUnchanged
{
    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        $plan = $request->route('plan');
        $version = PlanRecord::of(SignedIn::user($request), is_string($plan) ? $plan : '')->value('version');

        return is_numeric($version) && (int) $version === (int) $request->query('since') ? new Response('', 304) : $next($request);
    }
}
