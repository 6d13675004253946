<?php

declare(strict_types=1);

namespace App\Models;

use App\Plans\Access;
use App\Plans\Kept;
use App\Plans\ThingTables;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Rundfunk\Plan\ThingKind;

/**
 * A plan's own row. What the plan holds is in a table a kind, see {@see ThingRecord}.
 *
 * @property string $id
 * @property int $version
 * @property string $name
 * @property string $region
 * @property list<int> $busy_wifi
 * @property string $note
 * @property array<string, string>|null $stamps by kind, and one for the findings, see {@see Kept}
 * @property \Illuminate\Support\Carbon $updated_at
 * @property int $known_since the version after which all that was done is in the history
 * @property Access|null $access what the user may do with it, where it was asked for by one, see {@see self::of}
 * @property int|null $nodes_count only in lists
 */
final class PlanRecord extends Model
{
    use SoftDeletes;

    protected $table = 'plans';

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    /** @return HasMany<EditRecord, $this> */
    public function edits(): HasMany
    {
        return $this->hasMany(EditRecord::class, 'plan_id');
    }

    /** @return HasMany<ThingRecord, $this> */
    public function nodes(): HasMany
    {
        $nodes = new ThingRecord;
        $nodes->setTable(ThingTables::name(ThingKind::Node));

        return $this->newHasMany($nodes->newQuery(), $this, 'plan_id', 'id');
    }

    /** @return Builder<EditRecord> the edits of one user that are in a state */
    public function editsOf(User $user, EditState $state): Builder
    {
        return EditRecord::query()->whereBelongsTo($this, 'plan')->where('user_id', $user->id)->where('state', $state);
    }

    /** @return Collection<int, EditRecord> whatever made a later version, oldest first */
    public function editsSince(int $version): Collection
    {
        return EditRecord::query()->whereBelongsTo($this, 'plan')->where('version', '>', $version)->oldest('version')->get();
    }

    /** @return Builder<self> those that a user may do something with, and what */
    public static function ofUser(User $user): Builder
    {
        $query = self::query();
        $query->join('plan_members', 'plan_members.plan_id', '=', 'plans.id');
        $query->select(['plans.*', 'plan_members.access']);

        return $query->where('plan_members.user_id', $user->id);
    }

    /** @return Builder<self> one plan, where the user may do something with it, and what */
    public static function of(User $user, string $id): Builder
    {
        return self::ofUser($user)->where('plans.id', $id);
    }

    protected function casts(): array
    {
        return ['busy_wifi' => 'array', 'stamps' => 'array', 'version' => 'integer', 'known_since' => 'integer', 'access' => Access::class];
    }
}
