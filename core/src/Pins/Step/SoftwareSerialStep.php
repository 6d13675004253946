<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Pins\SoftwareSerial;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** A serial line by software, where the only port that is left is the console's: that is kept for watching and for programming. */
final readonly class SoftwareSerialStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Pin;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        $software = new SoftwareSerial($plan, $knowledge->of($plan));
        foreach ($plan->nodes() as $node) {
            $module = $software->wanted($node);
            foreach ($module === null ? [] : $software->rewired($node, $module) as $change) {
                $use = $change->use($plan);
                yield new Proposal(
                    $this->stage(),
                    Spot::of($change->module, "{$node->name}, {$change->module->name}", $change->terminal->name),
                    "Pin of {$node->name} · {$change->module->name} {$change->terminal->name}",
                    $change->before?->pin,
                    "{$change->after->name}, by software",
                    "The port that is left is the console's, which carries boot messages and the program. So slow a line the program times itself, on any two pins.",
                    [$change->before === null
                        ? Operation::add(new PinUse($use->id, $use->moduleId, $use->terminal, $use->pin, bySoftware: true))
                        : Operation::change(PinUse::kind(), $change->before->id, ['pin' => $use->pin, 'bySoftware' => true])],
                );
            }
        }
    }
}
