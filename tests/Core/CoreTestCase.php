<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rundfunk\Assign\Assigner;
use Rundfunk\Check\Checker;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Edited;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\Thing;
use Rundfunk\Shipped;
use Tests\Demos;

/** What the tests of the core share. No framework is started. */
abstract class CoreTestCase extends TestCase
{
    private static ?Knowledge $knowledge = null;

    private static ?Checker $checker = null;

    private static ?Assigner $assigner = null;

    protected static function knowledge(): Knowledge
    {
        return self::$knowledge ??= Shipped::knowledge();
    }

    protected static function checker(): Checker
    {
        return self::$checker ??= Shipped::checker();
    }

    protected static function assigner(): Assigner
    {
        return self::$assigner ??= Shipped::assigner();
    }

    protected static function linden(): Plan
    {
        return Demos::lindenHollow();
    }

    protected static function faulty(): Plan
    {
        return Demos::faultyOnPurpose();
    }

    /** @param  list<int>  $busyWifi */
    protected static function sketch(string $region = 'eu', array $busyWifi = []): Sketch
    {
        return new Sketch('test', 'Test', self::assigner(), $region, $busyWifi);
    }

    /** A handset that sends to one board, everything assigned but pins. */
    protected static function pair(): Sketch
    {
        return self::sketch()
            ->node('hand', 'Hand', NodeKind::Handset, null, '8bit-5v-20io')
            ->module('hand-radio', 'hand', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->module('hand-keys', 'hand', 'button-pad-4', 'Keys')
            ->node('board', 'Board', NodeKind::Controller, null, '8bit-5v-20io')
            ->module('board-radio', 'board', 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
            ->module('board-relays', 'board', 'relay-bank-4-low', 'Relays', FedFrom::Own);
    }

    /** @return list<Finding> */
    protected static function found(Plan $plan, string $rule): array
    {
        return self::checker()->check($plan)->byRule()[$rule];
    }

    /** @return array<string, list<string>> of what each view can be asked */
    protected static function askable(Plan $plan): array
    {
        $of = [];
        foreach (Shipped::views()->all() as $view) {
            $owner = $view->owner();
            $of[$view->key()] = $owner === null ? [''] : array_map(static fn (Thing $thing): string => $thing->id(), $plan->of($owner));
        }

        return $of;
    }

    /** @return array<string, array<string, mixed>|null> what a view shows, as screens are sent it, by what it is of */
    protected static function shown(string $view, Plan $plan): array
    {
        $shown = [];
        foreach (Shipped::views()->show($view, self::askable($plan)[$view], $plan) as ['of' => $of, 'shows' => $shows]) {
            $decoded = json_decode(json_encode($shows, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION), true, 64, JSON_THROW_ON_ERROR);
            self::assertTrue($decoded === null || is_array($decoded));
            $shown[$of] = $decoded;
        }

        return $shown;
    }

    /** @return array<string, array<string, string>> all that every view shows, as JSON, by view and by what it is of */
    protected static function allShown(Plan $plan): array
    {
        $all = [];
        foreach (self::askable($plan) as $view => $of) {
            $all[$view] = [];
            foreach (Shipped::views()->show($view, $of, $plan) as ['of' => $one, 'shows' => $shows]) {
                $all[$view][$one] = json_encode($shows, JSON_THROW_ON_ERROR);
            }
        }

        return $all;
    }

    /**
     * All that every view shows after an edit, put together as a screen does that shows everything: what was there, with what
     * the edit brought in its place, and what came anew asked for.
     *
     * @param  array<string, array<string, string>>  $before
     * @return array<string, array<string, string>>
     */
    protected static function allShownAfter(Edited $edited, array $before): array
    {
        $changed = Shipped::views()->after($edited, array_map(static fn (array $shown): array => array_map(strval(...), array_keys($shown)), $before));
        foreach (self::askable($edited->plan) as $view => $of) {
            foreach ($changed[$view] ?? [] as ['of' => $one, 'shows' => $shows]) {
                $before[$view][$one] = json_encode($shows, JSON_THROW_ON_ERROR);
            }
            $before[$view] = array_intersect_key($before[$view], array_flip($of));
            foreach (Shipped::views()->show($view, array_values(array_diff($of, array_map(strval(...), array_keys($before[$view])))), $edited->plan) as ['of' => $one, 'shows' => $shows]) {
                $before[$view][$one] = json_encode($shows, JSON_THROW_ON_ERROR);
            }
            ksort($before[$view]);
        }

        return $before;
    }

    /** Ten farms in a row, each with a radio of its own and a wire to the next: an edit at one end is not felt at the other. */
    protected static function farms(): Plan
    {
        $sketch = self::sketch();
        foreach (range(1, 10) as $farm) {
            $sketch
                ->node("yard{$farm}", "Yard {$farm}", NodeKind::Controller, null, 'wifi-3v3-26io')
                ->module("radio{$farm}", "yard{$farm}", 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
                ->module("relays{$farm}", "yard{$farm}", 'relay-bank-2-high', 'Relays', FedFrom::Own)
                ->output("lamp{$farm}", "yard{$farm}", "Lamp {$farm}")
                ->output("spare{$farm}", "yard{$farm}", "Spare {$farm}")
                ->node("hand{$farm}", "Hand {$farm}", NodeKind::Handset, null, '8bit-5v-20io')
                ->module("handradio{$farm}", "hand{$farm}", 'packet-radio-plain', 'Radio', FedFrom::Board3V3)
                ->module("keys{$farm}", "hand{$farm}", 'button-pad-4', 'Keys')
                ->control("key{$farm}", "hand{$farm}", 'Key')
                ->control("turn{$farm}", "hand{$farm}", 'Turn', ControlKind::Switch)
                ->link("air{$farm}", "Air {$farm}", 'packet-radio')
                ->join("air{$farm}", "hand{$farm}", Role::Sends, "handradio{$farm}")
                ->join("air{$farm}", "yard{$farm}", Role::Receives, "radio{$farm}")
                ->route("key{$farm}", Action::Toggle, "lamp{$farm}")
                // A switch cannot toggle: something to find at every farm.
                ->route("turn{$farm}", Action::Toggle, "lamp{$farm}");
            if ($farm > 1) {
                $sketch
                    ->link("wire{$farm}", "Wire {$farm}", 'ip')
                    ->join("wire{$farm}", 'yard'.($farm - 1), Role::Both)
                    ->join("wire{$farm}", "yard{$farm}", Role::Both)
                    ->route('key'.($farm - 1), Action::Off, "lamp{$farm}");
            }
        }

        return $sketch->assigned();
    }
}
