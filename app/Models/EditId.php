<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * The id that a client gave an edit, an undo or a redo, and the version that came of it.
 *
 * @property string $id
 * @property string $plan_id
 * @property int $user_id
 * @property int $version
 */
final class EditId extends Model
{
    public const UPDATED_AT = null;

    protected $table = 'edit_ids';

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];

    protected function casts(): array
    {
        return ['version' => 'integer', 'user_id' => 'integer'];
    }
}
