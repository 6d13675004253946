<?php

declare(strict_types=1);

// A made-up plan of a given size: groups of five boards and five handhelds round one link, every medium in its turn, every
// key routed.

use Rundfunk\Assign\Assigner;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\SupplyFrom;

const MEDIA_IN_TURN = ['packet-radio', 'infrared', 'packet-radio', 'keyed-radio', 'ip', 'packet-radio', 'cellular'];

/** @param  int  $nodes a multiple of ten; ten routes a node */
function largePlan(int $nodes, Assigner $assigner): Plan
{
    $sketch = new Sketch("large-{$nodes}", "{$nodes} nodes", $assigner, 'eu', [1, 6]);
    for ($group = 0; $group < intdiv($nodes, 10); $group++) {
        $medium = MEDIA_IN_TURN[$group % count(MEDIA_IN_TURN)];
        $sketch->place("p{$group}", "Place {$group}")->link("l{$group}", "Link {$group}", $medium);
        for ($one = 0; $one < 5; $one++) {
            addBoard($sketch, $group, $one, $medium);
        }
        for ($one = 0; $one < 5; $one++) {
            addHandheld($sketch, $group, $one, $medium);
            addRoutes($sketch, $group, $one, $medium);
        }
    }

    return $sketch->plan();
}

function addBoard(Sketch $sketch, int $group, int $one, string $medium): void
{
    $key = "b{$group}-{$one}";
    [$module, $supply] = match ($medium) {
        'packet-radio' => ['packet-radio-plain', SupplyFrom::Board3V3],
        'infrared' => ['infrared-receiver', SupplyFrom::Board5V],
        'keyed-radio' => ['keyed-receiver', SupplyFrom::Board5V],
        'cellular' => ['modem-lte-eu', SupplyFrom::Own],
        default => [null, null],
    };
    $sketch->node($key, "Board {$group}.{$one}", NodeKind::Controller, "p{$group}", $medium === 'ip' ? 'wifi-3v3-26io' : '8bit-5v-70io')
        ->module("{$key}-bank", $key, 'relay-bank-4-low', 'Relays', SupplyFrom::Own);
    if ($module !== null) {
        $sketch->module("{$key}-link", $key, $module, 'Link', $supply);
    }
    $sketch->join("l{$group}", $key, $medium === 'cellular' || $medium === 'ip' ? Role::Both : Role::Receives, $module === null ? null : "{$key}-link", $medium === 'ip' && $one === 0 ? ['broker' => true] : []);
    for ($output = 1; $output <= 4; $output++) {
        $sketch->output("{$key}-o{$output}", $key, "Lamp {$output}", OutputKind::Relay, "{$key}-bank", "IN{$output}");
    }
}

function addHandheld(Sketch $sketch, int $group, int $one, string $medium): void
{
    $key = "h{$group}-{$one}";
    match ($medium) {
        'packet-radio' => $sketch->node($key, "Handset {$group}.{$one}", NodeKind::Handset, "p{$group}", '32bit-3v3-26io')
            ->module("{$key}-link", $key, 'packet-radio-plain', 'Radio', SupplyFrom::Board3V3)->module("{$key}-pad", $key, 'button-pad-8', 'Keys')
            ->join("l{$group}", $key, Role::Sends, "{$key}-link"),
        'keyed-radio' => $sketch->node($key, "Handset {$group}.{$one}", NodeKind::Handset, "p{$group}", '8bit-5v-20io')
            ->module("{$key}-link", $key, 'keyed-transmitter', 'Transmitter', SupplyFrom::Board5V)->module("{$key}-pad", $key, 'button-pad-8', 'Keys')
            ->join("l{$group}", $key, Role::Sends, "{$key}-link"),
        'infrared' => $sketch->node($key, "Remote {$group}.{$one}", NodeKind::Remote, "p{$group}", null)->join("l{$group}", $key, Role::Sends),
        'cellular' => $sketch->node($key, "Phone {$group}.{$one}", NodeKind::Phone, "p{$group}", null)
            ->join("l{$group}", $key, Role::Both, null, ['listed' => true])->address("l{$group}", $key, 0, '+4420794'.sprintf('6%04d', ($group * 5 + $one) % 1000), true),
        default => $sketch->node($key, "Page {$group}.{$one}", NodeKind::Gateway, "p{$group}", 'computer-40pin')->join("l{$group}", $key, Role::Both),
    };
    $kind = match ($medium) {
        'infrared' => ControlKind::Key,
        'cellular' => ControlKind::Text,
        'ip' => ControlKind::Widget,
        default => ControlKind::Button,
    };
    for ($control = 1; $control <= 8; $control++) {
        $pad = $kind === ControlKind::Button ? "{$key}-pad" : null;
        $sketch->control("{$key}-k{$control}", $key, "Key {$control}", $kind, $pad, $pad === null ? null : "K{$control}");
        if ($kind === ControlKind::Key) {
            $sketch->keyCode($key, "Key {$control}", 'nec', ($group * 5 + $one) % 256, $control, control: "{$key}-k{$control}");
        }
    }
}

function addRoutes(Sketch $sketch, int $group, int $one, string $medium): void
{
    // A toggle wants an answer, which not every medium gives; and a keyed sender has fifteen codes, so that pages make up for it.
    $action = $medium === 'packet-radio' ? Action::Toggle : Action::On;
    $boards = $medium === 'keyed-radio' ? 4 : 5;
    $routes = ['keyed-radio' => 15, 'ip' => 25][$medium] ?? 20;
    for ($route = 0; $route < $routes; $route++) {
        $board = $route % $boards;
        $sketch->route("h{$group}-{$one}-k".($route % 8 + 1), $action, "b{$group}-{$board}-o".(intdiv($route, $boards) % 4 + 1));
    }
}
