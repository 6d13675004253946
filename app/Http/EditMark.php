<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Rundfunk\Shape\PlanRefused;

/** What a client says of an edit, an undo or a redo, so that it can be sent again. */
final readonly class EditMark
{
    private const ULID = '/^[0-7][0-9A-HJKMNP-TV-Z]{25}$/D';

    /**
     * @param  string|null  $id  that the client gave it: sent again, it is answered and not done again
     * @param  string|null  $client  which client made it: its own edits are never in its way
     * @param  int|null  $held  the version that the client holds, from which it wants to know what changed
     */
    public function __construct(public ?string $id, public ?string $client, public ?int $held)
    {
    }

    /** @throws PlanRefused */
    public static function read(Request $request): self
    {
        $held = $request->input('held');

        return new self(self::ulid($request, 'id'), self::ulid($request, 'client'), $held === null || is_int($held) ? $held : throw PlanRefused::at('/held', 'must be the version at hand, a whole number'));
    }

    private static function ulid(Request $request, string $field): ?string
    {
        $given = $request->input($field);

        return $given === null || (is_string($given) && preg_match(self::ULID, $given) === 1) ? $given : throw PlanRefused::at("/{$field}", 'must be a ULID of 26 characters');
    }
}
