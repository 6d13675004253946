<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\User;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/** Where an account is signed in. A session is named by a sum of its id: whoever reads the list gets no key. */
final class Sessions
{
    /** @return list<array{key: string, current: bool, from: string, browser: string, seenAt: string}> the latest first */
    public function of(User $user, string $current): array
    {
        $sessions = [];
        foreach (self::table($user)->orderByDesc('last_activity')->get(['id', 'ip_address', 'user_agent', 'last_activity']) as $row) {
            $id = self::text($row->id ?? null);
            $sessions[] = [
                'key' => self::key($id),
                'current' => $id === $current,
                'from' => self::text($row->ip_address ?? null),
                'browser' => mb_substr(self::text($row->user_agent ?? null), 0, 200),
                'seenAt' => Carbon::createFromTimestamp((int) self::text($row->last_activity ?? 0))->toIso8601String(),
            ];
        }

        return $sessions;
    }

    /** @return bool whether there was such a session */
    public function end(User $user, string $key): bool
    {
        foreach (self::table($user)->pluck('id') as $id) {
            if (is_string($id) && hash_equals(self::key($id), $key)) {
                return self::table($user)->where('id', $id)->delete() > 0;
            }
        }

        return false;
    }

    /** @param  string|null  $but  the id of the session that goes on */
    public function endAll(User $user, ?string $but): void
    {
        $query = self::table($user);
        if ($but !== null) {
            $query->where('id', '!=', $but);
        }
        $query->delete();
    }

    private static function key(string $id): string
    {
        return substr(hash('sha256', $id), 0, 24);
    }

    private static function table(User $user): Builder
    {
        return DB::table('sessions')->where('user_id', $user->id);
    }

    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }
}
