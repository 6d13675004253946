<?php

declare(strict_types=1);

namespace App\Plans;

use Rundfunk\Check\Finding;
use Rundfunk\Edit\Edited;

/** An edit as it was kept: what it did, and the plan with it. */
final readonly class KeptEdit
{
    /**
     * @param  int  $version  that it made
     * @param  array{put: list<Finding>, gone: list<string>, order: list<string>}|null  $findings  what it did to them; null where it had been kept earlier and came again
     * @param  Edited|null  $edited  null where it had been kept earlier and came again
     */
    public function __construct(public int $version, public LoadedPlan $after, public ?array $findings = null, public ?Edited $edited = null)
    {
    }

    /** @return list<string> ids of findings that came, went or say something else */
    public function felt(): array
    {
        return [...array_map(static fn (Finding $finding): string => $finding->id(), $this->findings['put'] ?? []), ...$this->findings['gone'] ?? []];
    }
}
