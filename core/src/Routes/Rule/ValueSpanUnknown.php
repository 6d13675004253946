<?php

declare(strict_types=1);

namespace Rundfunk\Routes\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;

/** Something is set to values, and nobody has said from where to where they go. */
#[Finds('value-span-unknown', WorkStep::Routes)]
final readonly class ValueSpanUnknown implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        if (! $output->kind->takesValues() || $output->span() !== null) {
            return [];
        }
        $coded = self::values($look->plan->keyCodesTo($output));
        $asked = self::values($look->plan->routesTo($output));
        if ($coded === [] && $asked === []) {
            return [];
        }
        $learned = array_values(array_unique(array_filter($coded, is_int(...))));
        sort($learned);
        [$lowest, $highest] = [$learned[0] ?? 0, $learned[count($learned) - 1] ?? 0];
        $fix = $lowest === $highest ? null : Fix::settings("Take {$lowest} to {$highest}, as learned", $output, ['lowest' => $lowest, 'highest' => $highest]);

        return [Finding::warning(
            "Nobody has said what {$output->name} can be set to",
            Spot::of($output, "{$look->plan->node($output->nodeId)->name}, {$output->name}", 'settings'),
            'Without its lowest and highest value nothing here can tell a value that is missing from one that does not exist.',
            'Give the lowest and the highest; the lowest must be below the highest.',
            $fix,
        )];
    }

    /**
     * @param  list<KeyCode>|list<Route>  $things
     * @return list<int|null> what sets among them set to
     */
    private static function values(array $things): array
    {
        $values = [];
        foreach ($things as $thing) {
            if ($thing->action === Action::Set) {
                $values[] = $thing->value;
            }
        }

        return $values;
    }
}
