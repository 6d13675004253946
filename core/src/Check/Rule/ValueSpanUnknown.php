<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\ThingKind;

/** Something is set to values, and nobody has said from where to where they go. */
final readonly class ValueSpanUnknown implements LooksNearby
{
    public function key(): string
    {
        return 'value-span-unknown';
    }

    public function reads(): array
    {
        return [ThingKind::Node, ThingKind::Output, ThingKind::Route, ThingKind::KeyCode];
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->outputs() as $output) {
            if (! $output->kind->takesValues() || $output->span() !== null) {
                continue;
            }
            $coded = self::values($plan->keyCodesTo($output));
            $asked = self::values($plan->routesTo($output));
            if ($coded === [] && $asked === []) {
                continue;
            }
            $learned = array_values(array_unique(array_filter($coded, is_int(...))));
            sort($learned);
            [$lowest, $highest] = [$learned[0] ?? 0, $learned[count($learned) - 1] ?? 0];
            $fix = $lowest === $highest ? null : new Fix(
                "Take {$lowest} to {$highest}, as learned",
                Operation::change(ThingKind::Output, $output->id, ['settings' => ['lowest' => $lowest, 'highest' => $highest]]),
            );
            yield new Finding(
                $this->key(),
                Severity::Warning,
                "Nobody has said what {$output->name} can be set to",
                Subject::of($output, "{$plan->node($output->nodeId)->name}, {$output->name}", 'settings'),
                [],
                'Without its lowest and highest value nothing here can tell a value that is missing from one that does not exist.',
                'Give the lowest and the highest; the lowest must be below the highest.',
                $fix,
            );
        }
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
