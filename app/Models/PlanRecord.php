<?php

declare(strict_types=1);

namespace App\Models;

use App\Plans\Kept;
use App\Plans\ThingTables;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\SoftDeletes;
use Rundfunk\Plan\ThingKind;

/**
 * A plan's own row. What the plan holds is in a table a kind, see {@see ThingRecord}.
 *
 * @property string $id
 * @property int $user_id
 * @property int $version
 * @property string $name
 * @property string $region
 * @property list<int> $busy_wifi
 * @property string $note
 * @property array<string, string>|null $stamps by kind, and one for the findings, see {@see Kept}
 * @property \Illuminate\Support\Carbon $updated_at
 * @property-read User $user
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

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    protected function casts(): array
    {
        return ['busy_wifi' => 'array', 'stamps' => 'array', 'version' => 'integer'];
    }
}
