<?php

declare(strict_types=1);

namespace App\Http;

use App\Models\User;
use Illuminate\Http\Request;
use LogicException;

/** The user behind a request that has passed the guard. */
final class SignedIn
{
    public static function user(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : throw new LogicException('A request passed the guard without a user.');
    }
}
