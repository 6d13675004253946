<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Medium\Infrared\IrWords;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;

/** Two appliances in one room that obey one code. */
final readonly class HeardByTwo extends InfraredRule
{
    public function key(): string
    {
        return 'ir-heard-by-two';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        $obeyed = array_values(array_filter(self::codes($plan), static fn (array $one): bool => $one['node']->kind === NodeKind::Fixture));
        foreach ($obeyed as $index => $one) {
            foreach (array_slice($obeyed, $index + 1) as $other) {
                if ($one['link']->id !== $other['link']->id || $one['node']->id === $other['node']->id || ! IrCodes::same($one['code'], $other['code'], $this->protocols)) {
                    continue;
                }
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "{$one['node']->name} and {$other['node']->name} obey the same code",
                    Subject::of($other['code'], "{$other['node']->name}, {$other['code']->name}, in {$one['link']->name}"),
                    ['code' => IrWords::ofCode($one['code'], $this->protocols)],
                    "Both see it: {$one['code']->name} of the one works {$other['code']->name} of the other.",
                    'Set one of them to another unit or channel and learn its codes again, or put a wall between them.',
                    null,
                    [$one['code']->id, $other['code']->id],
                );
            }
        }
    }
}
