<?php

declare(strict_types=1);

// Made-up plans of a given size in three shapes, ten routes a node:
// - islands: groups of five boards and five handhelds round one link each, every medium in its turn;
// - house:   all nodes on one house network, five pages and five boards to a group;
// - hub:     a link a group, one gateway on all of them, four routes of five two hops through it.

use Rundfunk\Assign\Assigner;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;

const MEDIA_IN_TURN = ['packet-radio', 'infrared', 'packet-radio', 'keyed-radio', 'ip', 'packet-radio', 'cellular'];

const SHAPES = ['islands', 'house', 'hub'];

/** @param  int  $nodes a multiple of ten; ten routes a node */
function largePlan(int $nodes, Assigner $assigner, string $shape = 'islands'): Plan
{
    $sketch = new Sketch("large-{$shape}-{$nodes}", "{$nodes} nodes, {$shape}", $assigner, 'eu', [1, 6]);
    $groups = intdiv($nodes, 10);
    if ($shape === 'islands') {
        addIslands($sketch, $groups);
    } else {
        addNetworks($sketch, $groups, $shape === 'hub');
    }

    return $sketch->plan();
}

function addIslands(Sketch $sketch, int $groups): void
{
    for ($group = 0; $group < $groups; $group++) {
        $medium = MEDIA_IN_TURN[$group % count(MEDIA_IN_TURN)];
        $sketch->place("p{$group}", "Place {$group}")->link("l{$group}", "Link {$group}", $medium, $medium === 'ip' ? ['ssid' => "net-{$group}"] : []);
        for ($one = 0; $one < 5; $one++) {
            addBoard($sketch, $group, $one, $medium, "l{$group}");
        }
        for ($one = 0; $one < 5; $one++) {
            addHandheld($sketch, $group, $one, $medium, "l{$group}");
            addRoutes($sketch, $group, $one, $medium);
        }
    }
}

/** Pages and boards on IP: one link for all, or a link a group with a gateway that is on each. */
function addNetworks(Sketch $sketch, int $groups, bool $hub): void
{
    $wide = ['ssid' => 'house-net', 'subnet' => '10.20.0.0/21', 'dhcpFrom' => 1_500, 'dhcpTo' => 2_000];
    for ($group = 0; $group < $groups; $group++) {
        if ($hub || $group === 0) {
            $sketch->link("l{$group}", $hub ? "Link {$group}" : 'House network', 'ip', $hub ? ['ssid' => "net-{$group}", 'subnet' => sprintf('10.20.%d.0/24', $group)] : $wide);
        }
        $sketch->place("p{$group}", "Place {$group}");
        for ($one = 0; $one < 5; $one++) {
            $link = $hub ? "l{$group}" : 'l0';
            addBoard($sketch, $group, $one, 'ip', $link, ! $hub && $group + $one === 0);
            addHandheld($sketch, $group, $one, 'ip', $link);
        }
    }
    if ($hub) {
        $sketch->place('hub', 'Hub')->node('gateway', 'Gateway', NodeKind::Gateway, 'hub', 'computer-40pin')->supply('gateway-plug', 'gateway', 'plug-5v-3a', 'Plug', null, FeedsAt::Usb);
        for ($group = 0; $group < $groups; $group++) {
            $sketch->join("l{$group}", 'gateway', Role::Both, null, ['broker' => true]);
        }
    }
    for ($group = 0; $group < $groups; $group++) {
        for ($one = 0; $one < 5; $one++) {
            for ($route = 0; $route < 20; $route++) {
                // At the hub one route of five stays in its group, the others go to the next.
                $to = $hub && $route % 5 !== 0 ? ($group + 1) % $groups : $group;
                $sketch->route("h{$group}-{$one}-k".($route % 8 + 1), Action::On, "b{$to}-".($route % 5).'-o'.(intdiv($route, 5) + 1));
            }
        }
    }
}

function addBoard(Sketch $sketch, int $group, int $one, string $medium, string $link, ?bool $broker = null): void
{
    $key = "b{$group}-{$one}";
    [$module, $supply] = match ($medium) {
        'packet-radio' => ['packet-radio-plain', FedFrom::Board3V3],
        'infrared' => ['infrared-receiver', FedFrom::Board5V],
        'keyed-radio' => ['keyed-receiver', FedFrom::Board5V],
        'cellular' => ['modem-lte-eu', FedFrom::Own],
        default => [null, null],
    };
    $sketch->node($key, "Board {$group}.{$one}", NodeKind::Controller, "p{$group}", $medium === 'ip' ? 'wifi-3v3-26io' : '8bit-5v-70io')
        ->supply("{$key}-plug", $key, 'plug-5v-1a', 'Plug', null, FeedsAt::Usb)
        ->module("{$key}-bank", $key, 'relay-bank-4-low', 'Relays', FedFrom::Own);
    if ($module !== null) {
        $sketch->module("{$key}-link", $key, $module, 'Link', $supply);
    }
    $sketch->join($link, $key, $medium === 'cellular' || $medium === 'ip' ? Role::Both : Role::Receives, $module === null ? null : "{$key}-link", $broker ?? ($medium === 'ip' && $one === 0) ? ['broker' => true] : []);
    for ($output = 1; $output <= 4; $output++) {
        $sketch->output("{$key}-o{$output}", $key, "Lamp {$output}", OutputKind::Relay, "{$key}-bank", "IN{$output}");
    }
}

function addHandheld(Sketch $sketch, int $group, int $one, string $medium, string $link): void
{
    $key = "h{$group}-{$one}";
    match ($medium) {
        'packet-radio' => $sketch->node($key, "Handset {$group}.{$one}", NodeKind::Handset, "p{$group}", '32bit-3v3-26io')->supply("{$key}-cells", $key, 'alkaline-3', 'Cells', null, FeedsAt::FiveVolt)
            ->module("{$key}-link", $key, 'packet-radio-plain', 'Radio', FedFrom::Board3V3)->module("{$key}-pad", $key, 'button-pad-8', 'Keys')
            ->join($link, $key, Role::Sends, "{$key}-link"),
        'keyed-radio' => $sketch->node($key, "Handset {$group}.{$one}", NodeKind::Handset, "p{$group}", '8bit-5v-20io')->supply("{$key}-cell", $key, 'li-ion-cell', 'Cell')->supply("{$key}-boost", $key, 'boost-5v', 'Boost', "{$key}-cell", FeedsAt::FiveVolt)
            ->module("{$key}-link", $key, 'keyed-transmitter', 'Transmitter', FedFrom::Board5V)->module("{$key}-pad", $key, 'button-pad-8', 'Keys')
            ->join($link, $key, Role::Sends, "{$key}-link"),
        'infrared' => $sketch->node($key, "Remote {$group}.{$one}", NodeKind::Remote, "p{$group}", null)->join($link, $key, Role::Sends),
        'cellular' => $sketch->node($key, "Phone {$group}.{$one}", NodeKind::Phone, "p{$group}", null)
            ->join($link, $key, Role::Both, null, ['listed' => true])->address($link, $key, 0, '+4420794'.sprintf('6%04d', ($group * 5 + $one) % 1000), true),
        default => $sketch->node($key, "Page {$group}.{$one}", NodeKind::Gateway, "p{$group}", 'computer-40pin')->supply("{$key}-plug", $key, 'plug-5v-3a', 'Plug', null, FeedsAt::Usb)->join($link, $key, Role::Both),
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
