<?php

declare(strict_types=1);

namespace App\Accounts;

use App\Models\PlanRecord;
use App\Models\User;
use App\Plans\Access;
use App\Plans\Transaction;
use Illuminate\Database\Eloquent\SoftDeletingScope;
use Illuminate\Support\Facades\Hash;

/** Accounts, and what only who knows their passwords may do. Nothing here tells, by words or by time, who has one. */
final readonly class Accounts
{
    public function __construct(private Sessions $sessions)
    {
    }

    /** @return User|null who has this address and password */
    public function find(string $email, string $password): ?User
    {
        $user = User::at($email);
        // bcrypt refuses a NUL, and nobody's password has one.
        $password = str_replace("\0", '?', $password);
        if ($user === null) {
            // As long as a wrong password takes: to make a hash is the same work as to check one.
            Hash::make($password);

            return null;
        }

        return Hash::check($password, $user->password) ? $user : null;
    }

    /** Makes an account where the address is free; where it is taken, nothing happens, and as slowly. */
    public function open(string $name, string $email, string $password): void
    {
        User::query()->insertOrIgnore([
            'name' => $name, 'email' => User::written($email), 'password' => Hash::make($password), 'created_at' => now(), 'updated_at' => now(),
        ]);
    }

    /** Whoever else is signed in with the old one is so no longer. */
    public function changePassword(User $user, string $password, ?string $session): void
    {
        Transaction::of(function () use ($user, $password, $session): void {
            $user->update(['password' => Hash::make($password)]);
            $this->sessions->endAll($user, $session);
        });
    }

    /** With every plan of its own, deleted ones too. Plans of others stay as they are, with what it did to them. */
    public function delete(User $user): void
    {
        Transaction::of(function () use ($user): void {
            $own = PlanRecord::ofUser($user)->where('access', Access::Owner);
            $own->withoutGlobalScope(SoftDeletingScope::class);
            foreach ($own->get() as $plan) {
                $plan->forceDelete();
            }
            $this->sessions->endAll($user, null);
            $user->delete();
        });
    }
}
