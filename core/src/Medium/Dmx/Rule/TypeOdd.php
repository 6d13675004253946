<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\SlotRanges;
use Rundfunk\Plan\FixtureMode;
use Rundfunk\Plan\Spot;

/** A lamp whose description cannot be. */
#[Finds('dmx-fixture-odd', WorkStep::Nodes)]
final readonly class TypeOdd implements PlanRule
{
    public function check(Look $look): iterable
    {
        foreach ($look->plan->fixtureTypes() as $type) {
            foreach ($type->modes as $mode) {
                $what = self::wrong($mode);
                if ($what !== null) {
                    yield Finding::fault(
                        "{$type->name}, {$mode->name}: {$what}",
                        Spot::of($type, $type->name, 'modes'),
                        'A slip of the pen, mostly: the manual counts from 1 at the start address, each slot once.',
                        'Look it up once more.',
                        about: [$type->id, $mode->name],
                    );
                }
            }
        }
    }

    /** @return string|null the first thing that is wrong with it */
    private static function wrong(FixtureMode $mode): ?string
    {
        $at = $names = [];
        foreach ($mode->slots as $slot) {
            foreach ([$slot->at, ...($slot->fineAt === null ? [] : [$slot->fineAt])] as $place) {
                if (isset($at[$place])) {
                    return $at[$place] === $slot->name ? "both bytes of {$slot->name} are slot {$place}" : "{$at[$place]} and {$slot->name} are both slot {$place}";
                }
                $at[$place] = $slot->name;
            }
            if (isset($names[$slot->name])) {
                return "two slots are called {$slot->name}";
            }
            $names[$slot->name] = true;
            if ($slot->opensFrom !== null && $slot->opensTo !== null && $slot->opensTo < $slot->opensFrom) {
                return "{$slot->name} opens from {$slot->opensFrom} to {$slot->opensTo}";
            }
            if (! SlotRanges::of($slot->ranges)->isSound) {
                return "what {$slot->name} means cannot be read, or goes back: \"{$slot->ranges}\"";
            }
        }

        return null;
    }
}
