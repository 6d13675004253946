<?php

declare(strict_types=1);

namespace App\Models;

use App\Plans\ThingTables;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Rundfunk\Plan\ThingKind;

/** A row of any of the tables that hold what plans are made of. Which table, the kind says. */
final class ThingRecord extends Model
{
    public $incrementing = false;

    public $timestamps = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /** @return Builder<self> */
    public static function of(ThingKind $kind, string $planId): Builder
    {
        $record = new self;
        $record->setTable(ThingTables::name($kind));

        return $record->newQuery()->where('plan_id', $planId);
    }
}
