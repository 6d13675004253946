<?php

declare(strict_types=1);

namespace App\Accounts;

use Illuminate\Database\Query\Builder;
use Illuminate\Session\DatabaseSessionHandler;

/** Sessions in the database, written when there is something to write: each write waits for the disk, and an open page asks every other second. */
final class SparingSessionHandler extends DatabaseSessionHandler
{
    /** How old the time at which a session was last seen may be, s. */
    private const SEEN_EVERY = 60;

    /**
     * @param  string  $sessionId
     * @param  array<string, mixed>  $payload
     */
    protected function performUpdate($sessionId, $payload): int
    {
        $seen = is_int($payload['last_activity'] ?? null) ? $payload['last_activity'] : 0;

        return $this->getQuery()->where('id', $sessionId)->where(static function (Builder $query) use ($payload, $seen): void {
            $query->where('payload', '!=', $payload['payload'] ?? '')->orWhere('last_activity', '<', $seen - self::SEEN_EVERY)->orWhereRaw('not user_id <=> ?', [$payload['user_id'] ?? null]);
        })->update($payload);
    }
}
