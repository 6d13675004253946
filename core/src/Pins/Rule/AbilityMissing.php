<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Pins\Demand;
use Rundfunk\Pins\PinNeeds;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;

/** A terminal asks what no pin of the board can do, however many are free: a stick on a computer without a converter. */
#[Finds('ability-missing', WorkStep::PinsAndPower)]
final readonly class AbilityMissing implements NodeRule
{
    private const WORDS = ['analogue' => 'no analogue input', 'pwm' => 'no pin that makes pulses by itself', 'interrupt' => 'no pin that wakes the program'];

    public function check(Node $node, Look $look): iterable
    {
        $left = $look->once(PinNeeds::class, static fn (): PinNeeds => new PinNeeds($look->plan, $look->catalogue))->leftOver($node);
        foreach ($left->demands ?? [] as $demand) {
            ['module' => $module, 'terminal' => $terminal] = $demand->wants[0];
            if ($left === null || ! self::isBeyond($demand, $left->board->pins)) {
                continue;
            }
            yield Finding::fault(
                "{$node->name} has ".(self::WORDS[$terminal->needs] ?? "no {$terminal->needs} pin")." for {$module->name} {$terminal->name}",
                Spot::of($module, "{$node->name}, {$module->name}"),
                "The {$left->board->name} has none, free or taken.",
                $terminal->needs === 'analogue' ? 'A board with analogue inputs for this node, or a converter of its own.' : 'Another board for this node.',
                about: [$module->id, $terminal->name],
            );
        }
    }

    /** @param  array<string, BoardPin>  $pins */
    public static function isBeyond(Demand $demand, array $pins): bool
    {
        $terminal = $demand->wants[0]['terminal'];
        foreach ($demand->busLine === null ? $pins : [] as $pin) {
            if ($pin->serves($terminal->needs)) {
                return false;
            }
        }

        return $demand->busLine === null;
    }
}
