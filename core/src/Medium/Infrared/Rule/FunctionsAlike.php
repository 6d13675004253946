<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Infrared\IrWords;
use Rundfunk\Medium\Infrared\Twins;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;

/** Two things that one appliance does, and one code for both. */
#[Finds('ir-functions-alike', WorkStep::Nodes)]
final readonly class FunctionsAlike extends InfraredRule implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        $codes = array_values(array_filter($look->plan->keyCodesOf($node), static fn (KeyCode $code): bool => $code->outputId !== null));
        foreach (Twins::among($codes, $this->protocols) as [$one, $other]) {
            if (self::does($one) !== self::does($other)) {
                yield Finding::fault(
                    "{$one->name} and {$other->name} of {$node->name} are one code",
                    Spot::of($other, "{$node->name}, {$other->name}"),
                    "{$node->name} does one of the two, whichever was meant. One of them was named wrongly, or it is a code that changes over, and then it is a toggle.",
                    'Capture both once more and look; keep one of the two.',
                    Fix::remove("Forget {$other->name}", $other),
                    numbers: ['code' => IrWords::ofCode($one, $this->protocols)],
                    about: [$one->id, $other->id],
                );
            }
        }
    }

    private static function does(KeyCode $code): string
    {
        return "{$code->outputId} {$code->action?->value} {$code->value}";
    }
}
