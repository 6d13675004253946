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

/** Two keys of one remote that send the same. */
#[Finds('ir-keys-alike', WorkStep::Nodes)]
final readonly class KeysAlike extends InfraredRule implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        $codes = array_values(array_filter($look->plan->keyCodesOf($node), static fn (KeyCode $code): bool => $code->controlId !== null));
        foreach (Twins::among($codes, $this->protocols) as [$one, $other]) {
            if ($one->controlId !== $other->controlId) {
                yield Finding::fault(
                    "{$one->name} and {$other->name} of {$node->name} send the same code",
                    Spot::of($other, "{$node->name}, {$other->name}"),
                    'Whatever hears them cannot tell which was pressed. One of them was named wrongly, or the remote has two keys for one thing.',
                    'Press both once more and look; keep one of the two.',
                    Fix::remove("Forget the code of {$other->name}", $other),
                    numbers: ['code' => IrWords::ofCode($one, $this->protocols)],
                    about: [$one->id, $other->id],
                );
            }
        }
    }
}
