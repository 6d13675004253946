<?php

declare(strict_types=1);

namespace Tests\Core\Power;

use Rundfunk\Check\Finding;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;

/** Holds a rule to the figures that were worked out by hand, and what it offers to what that promises. */
trait SaysFigures
{
    /** Of fuses, whatever is offered must bring no other. */
    private const OF_FUSES = ['fuse-misplaced', 'fuse-above-contact', 'fuse-in-neutral', 'fuse-unfit'];

    /**
     * @param  list<array{array<string, float|int|null>, string|null}>  $expected  of each finding its figures and its fix
     */
    private static function assertSays(array $expected, string $rule, Sketch $sketch): void
    {
        $plan = $sketch->plan();
        $found = self::found($plan, $rule);
        self::assertEquals($expected, array_map(static fn (Finding $finding): array => [$finding->numbers, $finding->fix?->label], $found));
        foreach ($found as $finding) {
            if ($finding->fix !== null) {
                $mended = (new Editor(self::knowledge()))->apply($plan, $finding->fix->operations)->plan;
                self::assertSame([], self::found($mended, $rule), 'what is offered mends it');
                self::assertSame([], array_filter(self::checker()->check($mended)->all(), static fn (Finding $one): bool => in_array($one->rule(), self::OF_FUSES, true) && self::found($plan, $one->rule()) === []), 'and breaks nothing else');
            }
        }
    }
}
