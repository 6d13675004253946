<?php

declare(strict_types=1);

namespace App\Plans;

use Closure;
use Illuminate\Support\Facades\DB;

/** A database transaction that keeps the type of what it gives. */
final class Transaction
{
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
        });

        /** @var T $result */
        return $result;
    }
}
