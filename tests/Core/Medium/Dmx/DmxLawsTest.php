<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Dmx;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Medium\Dmx\Patch;
use Rundfunk\Medium\Dmx\Universe;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;
use Tests\Core\Medium\Serial\HoldsLaws;

/** What holds for universes of every kind, drawn from nothing: by wire and by network, with bridges, splitters, mirrors and boards of our own. */
final class DmxLawsTest extends CoreTestCase
{
    use HoldsLaws;

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        [$first, $last] = array_map(intval(...), explode('-', (string) (getenv('SEEDS') ?: '1-40')));
        for ($seed = $first; $seed <= $last; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    private static function drawn(int $seed): Plan
    {
        mt_srand($seed);
        $one = static fn (array $of): mixed => $of[mt_rand(0, count($of) - 1)];
        $network = mt_rand(0, 3) === 0;
        $sketch = self::sketch()
            ->link('l', 'Lamps', 'dmx', array_filter(['form' => $network ? 'network' : 'wire', 'universe' => $one([null, 1, 7]), 'lengthM' => $one([null, 10.0, 400.0, 2_000.0]), 'slots' => $one([null, null, 24, 512]), 'breakUs' => $one([120, 92, 50]), 'markUs' => $one([16, 8])], static fn (mixed $value): bool => $value !== null))
            ->link('m', 'More lamps', 'dmx', ['form' => $one(['wire', 'network']), 'universe' => 7])->link('house', 'House', 'ip');
        foreach (range(1, 3) as $type) {
            $modes = [];
            foreach (range(1, mt_rand(1, 2)) as $mode) {
                $slots = [];
                $next = 1;
                foreach (range(1, mt_rand(1, 5)) as $slot) {
                    $fine = mt_rand(0, 3) === 0;
                    $is = $one(['dimmer', 'shutter', 'colour', 'position', 'other']);
                    $slots[] = ['name' => "S{$slot}", 'at' => $next, 'fineAt' => $fine ? $next + 1 : null, 'is' => $is, 'rest' => $one([0, 0, 10, 255]), 'on' => $one([null, null, 9]), 'opensFrom' => $is === 'shutter' ? $one([null, 8]) : null, 'opensTo' => $one([null, 15])];
                    $next += ($fine ? 2 : 1) + (mt_rand(0, 5) === 0 ? 3 : 0) - (mt_rand(0, 20) === 0 ? 1 : 0);
                }
                $modes[] = ['name' => "M{$mode}", 'slots' => $slots];
            }
            $sketch->fixtureType("t{$type}", "Type {$type}", ['modes' => $modes, 'addressBy' => $one(['menu', 'switches', 'switches-plus-one']), 'unitLoads' => $one([0.25, 1.0, 4.0]), 'onLoss' => $one(['unknown', 'dark', 'holds'])]);
        }
        $desks = mt_rand(1, 2);
        foreach (range(1, $desks) as $desk) {
            $board = $one(['8bit-5v-20io', '8bit-5v-70io', 'wifi-3v3-26io', 'computer-40pin']);
            $part = $one($board === 'computer-40pin' ? ['dmx-bridge-usb', 'dmx-driver-isolated'] : ['dmx-driver-5v', 'dmx-driver-isolated', 'dmx-splitter-4', 'dmx-bridge', 'dmx-wire']);
            $sketch->node("n{$desk}", "Desk {$desk}", $one([NodeKind::Controller, NodeKind::Gateway]), null, $board)->module("w{$desk}", "n{$desk}", $part, 'Line', FedFrom::Board5V)
                ->module("kp{$desk}", "n{$desk}", 'button-pad-2', 'Keys')->control("k{$desk}", "n{$desk}", "Key {$desk}")->control("kk{$desk}", "n{$desk}", "Other key {$desk}")
                ->join('l', "n{$desk}", Role::Sends, mt_rand(0, 2) === 0 && ! $network ? "w{$desk}" : null, ['bridges' => mt_rand(0, 3) === 0, 'template' => $one(['{slot}c{value}w', '{slot}{value}']), 'baud' => $one([2_400, 9_600, 115_200]), 'priority' => $one([100, 100, 200])]);
            if (mt_rand(0, 1) === 0) {
                $sketch->join('house', "n{$desk}", Role::Both);
            }
        }
        $lamps = mt_rand(1, 7);
        foreach (range(1, $lamps) as $lamp) {
            $sketch->node("f{$lamp}", "Lamp {$lamp}", NodeKind::Fixture, null, null, ['fixtureTypeId' => mt_rand(0, 9) === 0 ? null : $sketch->id('t'.mt_rand(1, 3))])
                ->join($lamp === 7 ? 'm' : 'l', "f{$lamp}", Role::Receives, null, array_filter([
                    'start' => $one([null, null, mt_rand(1, 30), mt_rand(1, 512), 512]), 'mode' => $one(['', '', 'M2']), 'terminated' => mt_rand(0, 3) === 0, 'segment' => $one([1, 1, 1, 2, 3]), 'outputs' => $one([0, 0, 0, 2]), 'together' => $one(['', '', 'both']),
                ], static fn (mixed $value): bool => $value !== null), mt_rand(0, 5) === 0 ? ['broadcast'] : []);
            foreach (range(1, 2) as $slot) {
                $sketch->output("f{$lamp}s{$slot}", "f{$lamp}", "Slot {$slot}", OutputKind::Function, null, $one(["S{$slot}", 'S1', 'None', null]), more: ['settings' => ['lowest' => 0, 'highest' => 255]]);
                $action = $one([Action::Set, Action::On, Action::Off, Action::Toggle, Action::Pulse, Action::Step]);
                $sketch->route($one(['k1', 'kk1', "k{$desks}"]), $action, "f{$lamp}s{$slot}", $action === Action::Pulse ? 400 : null, $action === Action::Set ? mt_rand(0, 255) : null, ['fadeMs' => $one([0, 0, 50, 400, 90_000])]);
            }
        }
        if (mt_rand(0, 1) === 0) {
            $sketch->node('o', 'Dimmer', NodeKind::Controller, null, '8bit-5v-70io')->module('ow', 'o', 'dmx-receiver-5v', 'Line', FedFrom::Board5V)->join('l', 'o', Role::Receives, null, ['start' => $one([null, 3])])
                ->module('or', 'o', 'relay-bank-2-high', 'Relays', FedFrom::Own)->output('o1', 'o', 'One', more: ['hazards' => mt_rand(0, 4) === 0 ? ['heat'] : []])->output('o2', 'o', 'Two')
                ->route('k1', $one([Action::Momentary, Action::Toggle, Action::On]), 'o1')->route('kk1', $one([Action::Momentary, Action::Pulse]), 'o2', 400, null, ['fadeMs' => $one([0, 700])]);
        }

        return $sketch->plan();
    }

    #[DataProvider('seeds')]
    public function test_assign_makes_no_fault_and_is_done_when_it_is_done(int $seed): void
    {
        $plan = self::drawn($seed);
        $before = self::grave($plan);
        $assigned = self::assigner()->assign($plan)->plan;
        foreach (self::grave($assigned) as $id => $finding) {
            self::assertFalse(str_starts_with($finding->rule(), 'dmx-') && ! isset($before[$id]) && ! self::isFeltOnlyNow($finding), "{$finding->rule()}: {$finding->title}");
            self::assertNotContains($finding->rule(), ['dmx-address-missing', 'dmx-beyond-universe', 'dmx-universe-missing', 'dmx-universe-shared', 'dmx-part-unlike', 'dmx-terminators', 'dmx-switches-cannot'], $finding->title);
            self::assertFalse($finding->rule() === 'dmx-slots-overlap' && ! str_contains($finding->title, 'are not alike'), $finding->title);
        }
        self::assertSame([], self::assigner()->assign($assigned)->proposals);
        foreach ($assigned->linksOver('dmx') as $link) {
            $placed = array_values(array_filter(Universe::of($assigned, $link)->patched, static fn ($one): bool => $one->last() !== null));
            foreach ($placed as $at => $one) {
                foreach (array_slice($placed, $at + 1) as $other) {
                    self::assertFalse($one->overlaps($other) && ! Patch::mirrors($one, $other), "{$one->node->name} and {$other->node->name}");
                }
            }
        }
    }

    /** What only now has a way is only now told wrongly; a part that only now is named is what it is. */
    private static function isFeltOnlyNow(Finding $finding): bool
    {
        return in_array($finding->rule(), ['dmx-slot-unknown', 'dmx-cannot', 'dmx-hazard', 'dmx-bare-pin', 'dmx-usb-missing', 'dmx-clock-unfit', 'dmx-bridge-words', 'dmx-slots-short', 'dmx-segment-unfed', 'dmx-one-way'], true);
    }

    #[DataProvider('seeds')]
    public function test_every_fix_mends_and_brings_nothing_as_grave(int $seed): void
    {
        $plan = self::drawn($seed);
        self::assertFixesMend($plan, 'dmx-');
        self::assertFixesMend(self::assigner()->assign($plan)->plan, 'dmx-');
    }
}
