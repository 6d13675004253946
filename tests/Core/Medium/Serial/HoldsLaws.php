<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Severity;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\Plan;

/** What must hold for every plan that is drawn. */
trait HoldsLaws
{
    /** @return array<string, Finding> those above a warning, by id */
    private static function grave(Plan $plan): array
    {
        $grave = [];
        foreach (self::checker()->check($plan)->all() as $finding) {
            if ($finding->severity->rank() >= Severity::Fault->rank()) {
                $grave[$finding->id()] = $finding;
            }
        }

        return $grave;
    }

    /** Every fix of the medium takes its finding away and brings none as grave. */
    private static function assertFixesMend(Plan $plan, string $medium = 'serial-'): void
    {
        $before = self::checker()->check($plan)->all();
        $ids = array_fill_keys(array_map(static fn (Finding $finding): string => $finding->id(), $before), true);
        $tried = 0;
        foreach ($before as $finding) {
            foreach (str_starts_with($finding->rule(), $medium) ? $finding->fixes() : [] as $fix) {
                $tried++;
                foreach (self::checker()->check((new Editor(self::knowledge()))->apply($plan, $fix->operations)->plan)->all() as $other) {
                    self::assertNotSame($finding->id(), $other->id(), "{$finding->rule()}: {$fix->label}");
                    self::assertFalse(! isset($ids[$other->id()]) && $other->severity->rank() >= $finding->severity->rank(), "{$finding->rule()}: {$fix->label} brings {$other->rule()}: {$other->title}");
                }
            }
        }
        self::assertGreaterThanOrEqual(0, $tried);
    }
}
