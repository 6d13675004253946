<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * @property int $id
 * @property string $name
 * @property string $email
 * @property string $password hashed
 */
final class User extends Authenticatable
{
    protected $fillable = ['name', 'email', 'password'];

    protected $hidden = ['password', 'remember_token'];

    /** Addresses are kept in small letters, and told apart by every one of them. */
    public static function at(string $email): ?self
    {
        return self::query()->where('email', self::written($email))->first();
    }

    public static function written(string $email): string
    {
        return mb_strtolower(mb_scrub($email));
    }
}
