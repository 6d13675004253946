<?php

declare(strict_types=1);

// A made-up plan of a given size: gateways with handsets and boards around them, every key routed.

use Rundfunk\Demo\Sketch;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\SupplyFrom;

/** @param  int  $nodes a multiple of ten; ten routes a node */
function largePlan(int $nodes, Knowledge $knowledge): Plan
{
    $sketch = new Sketch("large-{$nodes}", "{$nodes} nodes", $knowledge, 'eu', [1, 6]);
    for ($group = 0; $group < intdiv($nodes, 10); $group++) {
        $sketch->place("p{$group}", "Place {$group}")->link("l{$group}", "Link {$group}", 'packet-radio');
        for ($board = 0; $board < 5; $board++) {
            $key = "b{$group}-{$board}";
            $sketch->node($key, "Board {$group}.{$board}", NodeKind::Controller, "p{$group}", '8bit-5v-70io')
                ->module("{$key}-radio", $key, 'packet-radio-plain', 'Radio', SupplyFrom::Board3V3)
                ->module("{$key}-bank", $key, 'relay-bank-4-low', 'Relays', SupplyFrom::Own)
                ->join("l{$group}", $key, Role::Receives, "{$key}-radio");
            for ($output = 1; $output <= 4; $output++) {
                $sketch->output("{$key}-o{$output}", $key, "Lamp {$output}", OutputKind::Relay, "{$key}-bank", "IN{$output}");
            }
        }
        for ($hand = 0; $hand < 5; $hand++) {
            $key = "h{$group}-{$hand}";
            $sketch->node($key, "Handset {$group}.{$hand}", NodeKind::Handset, "p{$group}", '32bit-3v3-26io')
                ->module("{$key}-radio", $key, 'packet-radio-plain', 'Radio', SupplyFrom::Board3V3)
                ->module("{$key}-pad", $key, 'button-pad-8', 'Keys')
                ->join("l{$group}", $key, Role::Sends, "{$key}-radio");
            for ($control = 1; $control <= 8; $control++) {
                $sketch->control("{$key}-k{$control}", $key, "Key {$control}", ControlKind::Button, "{$key}-pad", "K{$control}");
            }
            for ($route = 0; $route < 20; $route++) {
                $board = $route % 5;
                $sketch->route("{$key}-k".($route % 8 + 1), Action::Toggle, "b{$group}-{$board}-o".(intdiv($route, 5) + 1));
            }
        }
    }

    return $sketch->plan();
}
