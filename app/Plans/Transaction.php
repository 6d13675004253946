<?php

declare(strict_types=1);

namespace App\Plans;

use Closure;
use Illuminate\Support\Facades\DB;

/** A database transaction that keeps the type of what it gives. */
final class Transaction
{
    /** A database that finds two transactions waiting for each other ends one of them and asks for it again. */
    private const ATTEMPTS = 5;

    /**
     * @template T
     *
     * @param  Closure(): T  $work
     * @return T
     */
    public static function of(Closure $work): mixed
    {
        $result = null;
        DB::transaction(static function () use ($work, &$result): void {
            $result = $work();
        }, self::ATTEMPTS);

        /** @var T $result */
        return $result;
    }
}
