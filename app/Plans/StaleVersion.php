<?php

declare(strict_types=1);

namespace App\Plans;

use App\Models\EditRecord;
use App\Models\PlanRecord;
use RuntimeException;

/** The plan has moved on since the edit was made, and the edit is at odds with that. */
final class StaleVersion extends RuntimeException
{
    /** @param  list<array{version: int, label: string, by: string}>  $since what was done in between */
    private function __construct(public readonly int $current, public readonly array $since, string $message)
    {
        parent::__construct($message);
    }

    public static function of(PlanRecord $record, int $given, string $why): self
    {
        $edits = EditRecord::query()->with('user')->whereBelongsTo($record, 'plan')->where('version', '>', $given)->oldest('version')->get();
        $since = [];
        foreach ($edits->take(50) as $edit) {
            $since[] = ['version' => $edit->version, 'label' => $edit->label, 'by' => $edit->by()];
        }

        return new self($record->version, $since, "{$why} This edit was made against version {$given}; the plan is at version {$record->version}. Nothing was changed.");
    }
}
