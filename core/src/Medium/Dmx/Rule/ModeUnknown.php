<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\DmxEnd;
use Rundfunk\Plan\FixtureMode;
use Rundfunk\Plan\Spot;

/** A mode that its kind of lamp does not have. */
#[Finds('dmx-mode-unknown', WorkStep::Links)]
final readonly class ModeUnknown implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $type = $end->node->fixtureTypeId === null || ! $end->endpoint->role->receives() ? null : $look->plan->fixtureType($end->node->fixtureTypeId);
        $mode = DmxEnd::of($end->endpoint)->mode;
        if ($type === null || ! $end->node->kind->isBought() || ($type->mode($mode)?->footprint() ?? 0) > 0) {
            return [];
        }
        $first = array_values(array_filter($type->modes, static fn (FixtureMode $one): bool => $one->footprint() > 0))[0] ?? null;

        return [Finding::fault(
            $first === null ? "{$type->name} has no mode with slots" : ($type->mode($mode) === null ? "{$type->name} has no mode \"{$mode}\"" : "The mode of {$end->node->name} has no slots"),
            $first === null ? Spot::of($type, $type->name, 'modes') : $end->at('mode'),
            'Without its mode nobody knows how many slots it takes, nor what they are.',
            $first === null ? 'Describe at least one mode.' : 'Choose one that it has, and set the lamp to it.',
            about: [$end->endpoint->id],
        )];
    }
}
