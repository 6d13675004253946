<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Accounts\SessionsAway;
use Illuminate\Contracts\Session\Session;
use Illuminate\Database\QueryException;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;

/** Nobody is ever sent back to where he was, so where that is need not be written down at each request. */
final class BeginSession extends StartSession
{
    /** @throws SessionsAway when it cannot be read who is signed in: that is not to say that nobody is */
    protected function startSession(Request $request, $session): Session
    {
        try {
            return parent::startSession($request, $session);
        } catch (QueryException $failed) {
            throw SessionsAway::because($failed);
        }
    }

    protected function storeCurrentUrl(Request $request, $session): void
    {
    }
}
