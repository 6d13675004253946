<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One edit of a plan, with what would undo it.
 *
 * @property int $id
 * @property string $plan_id
 * @property int|null $user_id null when the account is gone
 * @property int $version
 * @property string|null $client the id of the tab it was made in
 * @property string $label
 * @property EditState $state
 * @property list<array<string, mixed>> $operations
 * @property list<array<string, mixed>> $inverse
 * @property array<string, list<string>> $touched
 * @property list<string>|null $felt ids of findings that it changed; null of an edit made before that was kept
 * @property \Illuminate\Support\Carbon $created_at
 * @property User|null $user
 */
final class EditRecord extends Model
{
    protected $table = 'plan_edits';

    protected $guarded = [];

    /** @return BelongsTo<PlanRecord, $this> */
    public function plan(): BelongsTo
    {
        return $this->belongsTo(PlanRecord::class);
    }

    /** @return list<array<string, mixed>> the operations that were done last: of an edit that was taken back, those that did it */
    public function lastDone(): array
    {
        return $this->state === EditState::Done || $this->state === EditState::Settled ? $this->operations : $this->inverse;
    }

    /** Who made it. */
    public function by(): string
    {
        return $this->user->name ?? 'someone';
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    protected function casts(): array
    {
        return ['state' => EditState::class, 'operations' => 'array', 'inverse' => 'array', 'touched' => 'array', 'felt' => 'array', 'version' => 'integer'];
    }
}
