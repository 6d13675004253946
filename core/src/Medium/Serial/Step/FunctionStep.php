<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Serial\Bought\Choices;
use Rundfunk\Medium\Serial\Bought\Meant;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolItem;
use Rundfunk\Plan\Spot;

/** Which function of a bought device an output is, and which of its readings a control. */
final readonly class FunctionStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Channel;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->nodes() as $node) {
            if ($node->speaks() !== null) {
                yield from $this->ofNode($plan, $node, $plan->protocol($node->speaks()));
            }
        }
    }

    /** @return iterable<Proposal> one after the other, for what is taken leaves the rest less to choose from */
    private function ofNode(Plan $plan, Node $node, Protocol $protocol): iterable
    {
        $open = [...$plan->outputsOf($node), ...$plan->controlsOf($node)];
        do {
            $chosen = false;
            foreach ($open as $at => $thing) {
                $item = $this->chosen($plan, $thing, $protocol);
                if ($item === null) {
                    continue;
                }
                yield $this->proposal($thing, $node, $item->name, $protocol->name);
                $draft = $plan->draft();
                $draft->change($thing, [$this->field($thing) => $item->name]);
                $plan = $draft->plan();
                unset($open[$at]);
                $chosen = true;
            }
        } while ($chosen);
    }

    private function chosen(Plan $plan, Control|Output $thing, Protocol $protocol): ?ProtocolItem
    {
        return match (true) {
            $thing->pinned => null,
            $thing instanceof Output => Meant::itemOf($thing, $protocol) === null ? Choices::function($plan, $thing, $protocol) : null,
            $thing->kind === ControlKind::Reading || $thing->kind === ControlKind::Key => Choices::is($thing, $protocol) ? null : Choices::reading($plan, $thing, $protocol),
            default => null,
        };
    }

    private function field(Control|Output $thing): string
    {
        return $thing instanceof Output ? 'channel' : 'terminal';
    }

    private function proposal(Control|Output $thing, Node $node, string $is, string $protocol): Proposal
    {
        return new Proposal(
            $this->stage(), Spot::of($thing, $thing->name, $this->field($thing)),
            $thing instanceof Output ? "Function of {$thing->name} of {$node->name}" : "What {$thing->name} of {$node->name} is",
            $thing instanceof Output ? $thing->channel : $thing->terminal, $is,
            mb_strtolower($is) === mb_strtolower($thing->name) ? "{$protocol} calls it so." : "The only one left of {$protocol} that can do what is asked of it.",
            [Operation::change($thing::kind(), $thing->id, [$this->field($thing) => $is])],
        );
    }
}
