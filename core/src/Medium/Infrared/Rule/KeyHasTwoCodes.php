<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\ControlRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Medium\Infrared\IrWords;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Spot;

/** One key that was learned twice, differently, and not for its toggle bit. */
#[Finds('ir-key-two-codes', WorkStep::Nodes)]
final readonly class KeyHasTwoCodes extends InfraredRule implements ControlRule
{
    public function check(Control $control, Look $look): iterable
    {
        $codes = $look->plan->keyCodesFrom($control);

        return count($codes) < 2 ? [] : $this->others($control, $codes[0], array_slice($codes, 1), $look);
    }

    /**
     * @param  list<KeyCode>  $others
     * @return iterable<Finding>
     */
    private function others(Control $control, KeyCode $first, array $others, Look $look): iterable
    {
        foreach ($others as $other) {
            if (IrCodes::same($first, $other, $this->protocols)) {
                continue;
            }
            yield Finding::warning(
                "{$control->name} has two codes",
                Spot::of($other, "{$look->plan->node($control->nodeId)->name}, {$control->name}"),
                'A toggle bit is accounted for, so these are two different commands: the remote alternates between them, or one is of another key. The program waits for the first only.',
                'Keep the one that comes every time; if the remote alternates, make a key of each.',
                Fix::remove('Forget the second', $other),
                numbers: ['first' => IrWords::ofCode($first, $this->protocols), 'second' => IrWords::ofCode($other, $this->protocols)],
                about: [$control->id, $other->id],
            );
        }
    }
}
