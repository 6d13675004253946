<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Medium\Infrared\IrWords;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** One key that was learned twice, differently, and not for its toggle bit. */
final readonly class KeyHasTwoCodes extends InfraredRule implements LooksNearby
{
    public function key(): string
    {
        return 'ir-key-two-codes';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->controls() as $control) {
            $codes = $plan->keyCodesFrom($control);
            $first = $codes[0] ?? null;
            foreach (array_slice($codes, 1) as $other) {
                if ($first === null || IrCodes::same($first, $other, $this->protocols)) {
                    continue;
                }
                yield new Finding(
                    $this->key(),
                    Severity::Warning,
                    "{$control->name} has two codes",
                    Subject::of($other, "{$plan->node($control->nodeId)->name}, {$control->name}"),
                    ['first' => IrWords::ofCode($first, $this->protocols), 'second' => IrWords::ofCode($other, $this->protocols)],
                    'A toggle bit is accounted for, so these are two different commands: the remote alternates between them, or one is of another key. The program waits for the first only.',
                    'Keep the one that comes every time; if the remote alternates, make a key of each.',
                    new Fix('Forget the second', Operation::remove(ThingKind::KeyCode, $other->id)),
                    [$control->id, $other->id],
                );
            }
        }
    }
}
