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

/** Two keys of one remote that send the same. */
final readonly class KeysAlike extends InfraredRule implements LooksNearby
{
    public function key(): string
    {
        return 'ir-keys-alike';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->nodes() as $node) {
            $codes = array_values(array_filter($plan->keyCodesOf($node), static fn (KeyCode $code): bool => $code->controlId !== null));
            foreach (Twins::among($codes, $this->protocols) as [$one, $other]) {
                if ($one->controlId !== $other->controlId) {
                    yield new Finding(
                        $this->key(),
                        Severity::Fault,
                        "{$one->name} and {$other->name} of {$node->name} send the same code",
                        Subject::of($other, "{$node->name}, {$other->name}"),
                        ['code' => IrWords::ofCode($one, $this->protocols)],
                        'Whatever hears them cannot tell which was pressed. One of them was named wrongly, or the remote has two keys for one thing.',
                        'Press both once more and look; keep one of the two.',
                        new Fix("Forget the code of {$other->name}", Operation::remove(ThingKind::KeyCode, $other->id)),
                        [$one->id, $other->id],
                    );
                }
            }
        }
    }
}
