<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanBus;
use Rundfunk\Medium\Can\Ends;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** On a bus that is not ours boards listen, without a resistor of their own; on one that is ours the resistors are at its two ends. */
final readonly class ListenStep implements Step
{
    public function stage(): Stage
    {
        return Stage::End;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(Can::KEY) as $link) {
            $bus = CanBus::of($plan, $link);
            $wrong = $bus->settings->foreign || count($bus->ends) < 2 ? [] : Ends::wrongTerminators($bus);
            foreach ($bus->ends as $end) {
                $settings = $bus->end($end);
                $ours = ! $bus->isBought($end);
                $node = $plan->node($end->nodeId);
                $where = "{$node->name} on {$link->name}";
                if ($bus->settings->foreign && $ours && ! $settings->listenOnly && ! $end->pins('listenOnly')) {
                    yield new Proposal($this->stage(), Spot::of($end, $where, 'listenOnly'), "What {$node->name} does on {$link->name}", null, 'listens only', 'The bus runs without this plan: whoever speaks on it can stop what is dangerous from being heard.', [Operation::change(Endpoint::kind(), $end->id, ['settings' => ['listenOnly' => true]])]);
                }
                if ($bus->settings->foreign && $ours && $settings->terminated && ! $end->pins('terminated')) {
                    yield new Proposal($this->stage(), Spot::of($end, $where, 'terminated'), "Resistor of {$where}", 'on', 'off', 'That bus has both of its own.', [Operation::change(Endpoint::kind(), $end->id, ['settings' => ['terminated' => false]])]);
                }
                if (in_array($end, $wrong, true) && ! $end->pins('terminated')) {
                    yield new Proposal($this->stage(), Spot::of($end, $where, 'terminated'), "Resistor of {$where}", $settings->terminated ? 'on' : 'off', $settings->terminated ? 'off' : 'on', 'At the two ends of the cable and nowhere between: elsewhere the wave is reflected, or the drivers are overloaded.', [Operation::change(Endpoint::kind(), $end->id, ['settings' => Ends::turned($settings)])]);
                }
            }
        }
    }
}
