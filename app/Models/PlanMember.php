<?php

declare(strict_types=1);

namespace App\Models;

use App\Plans\Access;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Who may do what with a plan: its owner, and those it is shared with. Its key is plan and user together.
 *
 * @property string $plan_id
 * @property int $user_id
 * @property Access $access
 * @property-read User $user
 */
final class PlanMember extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $table = 'plan_members';

    protected $guarded = [];

    public static function put(string $planId, User $user, Access $access): void
    {
        self::query()->upsert(['plan_id' => $planId, 'user_id' => $user->id, 'access' => $access->value], ['plan_id', 'user_id']);
    }

    /** @return BelongsTo<User, $this> */
    public function user(): BelongsTo
    {
        return $this->belongsTo(User::class);
    }

    protected function casts(): array
    {
        return ['access' => Access::class, 'user_id' => 'integer'];
    }
}
