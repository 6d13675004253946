<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\KeyedRadio\KeyedCodes;
use Rundfunk\Medium\KeyedRadio\KeyedCoding;
use Rundfunk\Medium\KeyedRadio\KeyedRadio;
use Rundfunk\Medium\KeyedRadio\KeyedSettings;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** Which button of a pair each key of a fob is: the first free of four, in the order of the keys. */
final readonly class ButtonStep implements Step
{
    private const BUTTONS = 4;

    public function stage(): Stage
    {
        return Stage::Code;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(KeyedRadio::KEY) as $link) {
            foreach (KeyedSettings::of($link)->coding === KeyedCoding::Pair ? $plan->endpointsOn($link) : [] as $endpoint) {
                $node = $plan->node($endpoint->nodeId);
                if ($node->kind === NodeKind::Remote) {
                    yield from $this->ofFob($plan, $node);
                }
            }
        }
    }

    /** @return iterable<Proposal> */
    private function ofFob(Plan $plan, Node $node): iterable
    {
        $taken = [];
        foreach ($plan->keyCodesOf($node) as $code) {
            if (KeyedCodes::button($code) !== null) {
                $taken[(int) $code->command] = true;
            }
        }
        foreach ($plan->controlsOf($node) as $control) {
            $button = 0;
            while (isset($taken[$button])) {
                $button++;
            }
            if ($button >= self::BUTTONS || $plan->keyCodesFrom($control) !== []) {
                continue;
            }
            $taken[$button] = true;
            $code = new KeyCode($plan->newId('button', $control->id), $node->id, $control->name, 'keyed-button', null, $button, controlId: $control->id, order: $button);
            yield new Proposal(
                $this->stage(),
                Spot::of($control, "{$node->name}, {$control->name}"),
                "Button of {$node->name} · {$control->name}",
                null,
                (string) KeyedCodes::button($code),
                "The first button of the fob that no other key is; it works pin D{$button} of the receiver.",
                [Operation::add($code)],
            );
        }
    }
}
