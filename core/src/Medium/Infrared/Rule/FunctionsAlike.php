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
use Rundfunk\Medium\Infrared\IrWords;
use Rundfunk\Medium\Infrared\Twins;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;

/** Two things that one appliance does, and one code for both. */
final readonly class FunctionsAlike extends InfraredRule implements LooksNearby
{
    public function key(): string
    {
        return 'ir-functions-alike';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->nodes() as $node) {
            $codes = array_values(array_filter($plan->keyCodesOf($node), static fn (KeyCode $code): bool => $code->outputId !== null));
            foreach (Twins::among($codes, $this->protocols) as [$one, $other]) {
                if (self::does($one) !== self::does($other)) {
                    yield new Finding(
                        $this->key(),
                        Severity::Fault,
                        "{$one->name} and {$other->name} of {$node->name} are one code",
                        Subject::of($other, "{$node->name}, {$other->name}"),
                        ['code' => IrWords::ofCode($one, $this->protocols)],
                        "{$node->name} does one of the two, whichever was meant. One of them was named wrongly, or it is a code that changes over, and then it is a toggle.",
                        'Capture both once more and look; keep one of the two.',
                        new Fix("Forget {$other->name}", Operation::remove(ThingKind::KeyCode, $other->id)),
                        [$one->id, $other->id],
                    );
                }
            }
        }
    }

    private static function does(KeyCode $code): string
    {
        return "{$code->outputId} {$code->action?->value} {$code->value}";
    }
}
