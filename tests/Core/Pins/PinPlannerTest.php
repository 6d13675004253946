<?php

declare(strict_types=1);

namespace Tests\Core\Pins;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Build\CHeader;
use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Catalogue\Signal;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Pins\CheapestMatching;
use Rundfunk\Pins\Demand;
use Rundfunk\Pins\Demands;
use Rundfunk\Pins\PinFitness;
use Rundfunk\Pins\PinPlanner;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;
use Tests\Core\CoreTestCase;

/** The matcher against trying everything. */
final class PinPlannerTest extends CoreTestCase
{
    public function test_it_is_as_good_as_brute_force_on_a_thousand_random_boards(): void
    {
        mt_srand(20261124);
        for ($round = 0; $round < 1000; $round++) {
            $rows = mt_rand(1, 5);
            $columns = mt_rand(1, 7);
            $costs = [];
            for ($row = 0; $row < $rows; $row++) {
                for ($column = 0; $column < $columns; $column++) {
                    $costs[$row][$column] = mt_rand(0, 2) === 0 ? null : mt_rand(0, 30);
                }
            }
            $matched = CheapestMatching::of($costs, array_fill(0, $rows, 1_000));
            $used = array_filter($matched, static fn (?int $column): bool => $column !== null);
            self::assertSame(count($used), count(array_unique($used)), 'a pin was given twice');
            $total = 0;
            foreach ($matched as $row => $column) {
                if ($column !== null) {
                    self::assertNotNull($costs[$row][$column], 'a pin was given to what cannot use it');
                }
                $total += $column === null ? 1_000 : $costs[$row][$column];
            }
            self::assertSame(self::cheapest($costs, 1_000), $total, "round {$round}");
        }
    }

    /**
     * @param  list<list<int|null>>  $costs
     * @param  list<int>  $used
     */
    private static function cheapest(array $costs, int $unplaced, int $row = 0, array $used = []): int
    {
        if ($row === count($costs)) {
            return 0;
        }
        $best = $unplaced + self::cheapest($costs, $unplaced, $row + 1, $used);
        foreach ($costs[$row] as $column => $cost) {
            if ($cost !== null && ! in_array($column, $used, true)) {
                $best = min($best, $cost + self::cheapest($costs, $unplaced, $row + 1, [...$used, $column]));
            }
        }

        return $best;
    }

    /** Random real boards and modules: whenever an exhaustive search can place everything, so does the planner. */
    public function test_a_pin_assignment_is_found_whenever_one_exists(): void
    {
        mt_srand(7);
        $classes = ['relay-bank-1-low', 'relay-bank-1-high', 'button-pad-1', 'indicator-lamp', 'packet-radio-plain'];
        $placeable = 0;
        for ($round = 0; $round < 150; $round++) {
            $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-11io');
            foreach (range(1, mt_rand(4, 8)) as $number) {
                $class = $classes[mt_rand(0, $number === 1 ? 4 : 3)];
                $sketch->module("m{$number}", 'n', $class, "M{$number}");
                match (true) {
                    str_starts_with($class, 'relay') => $sketch->output("o{$number}", 'n', 'O', OutputKind::Relay, "m{$number}", 'IN1'),
                    $class === 'indicator-lamp' => $sketch->output("o{$number}", 'n', 'O', OutputKind::Lamp, "m{$number}", 'LED'),
                    $class === 'button-pad-1' => $sketch->control("c{$number}", 'n', 'C', ControlKind::Button, "m{$number}", 'K1'),
                    default => null,
                };
            }
            $plan = $sketch->plan();
            $node = $plan->node($sketch->id('n'));
            $board = self::knowledge()->catalogue->boards['wifi-3v3-11io'];
            $demands = Demands::of($plan, $node, self::knowledge()->catalogue);
            $buses = array_fill_keys($demands->busModules(), 'spi0');
            $fitness = new PinFitness($board, array_values(array_unique($buses)));
            $able = array_map(
                static fn (Demand $demand): array => array_keys(array_filter($board->pins, static fn (BoardPin $pin): bool => $demand->cost($pin, $fitness) !== null)),
                $demands->asking($buses),
            );
            $planned = (new PinPlanner(self::knowledge()->catalogue))->plan($plan, $node);
            self::assertNotNull($planned);
            self::assertSame(self::mostPlaced($able), count($planned->placed), "round {$round}");
            $placeable += $planned->unplaced === [] ? 1 : 0;
        }
        self::assertGreaterThan(20, $placeable);
        self::assertLessThan(150, $placeable);
    }

    /**
     * Largest matching by augmenting paths: another method than the planner's.
     *
     * @param  list<list<string>>  $able
     */
    private static function mostPlaced(array $able): int
    {
        $owner = [];
        $count = 0;
        foreach (array_keys($able) as $row) {
            $seen = [];
            $count += self::augment($able, $row, $owner, $seen) ? 1 : 0;
        }

        return $count;
    }

    /**
     * @param  list<list<string>>  $able
     * @param  array<string, int>  $owner
     * @param  array<string, true>  $seen
     */
    private static function augment(array $able, int $row, array &$owner, array &$seen): bool
    {
        foreach ($able[$row] as $pin) {
            if (isset($seen[$pin])) {
                continue;
            }
            $seen[$pin] = true;
            if (! isset($owner[$pin]) || self::augment($able, $owner[$pin], $owner, $seen)) {
                $owner[$pin] = $row;

                return true;
            }
        }

        return false;
    }

    public function test_two_radios_share_the_bus_and_have_their_own_select(): void
    {
        $sketch = self::sketch()
            ->node('n', 'N', NodeKind::Gateway, null, '8bit-5v-20io')
            ->module('r1', 'n', 'packet-radio-plain', 'One')
            ->module('r2', 'n', 'packet-radio-plain', 'Two');
        $plan = $sketch->assigned();
        $pins = [];
        foreach ($plan->pinUses() as $use) {
            $pins[$use->terminal][] = $use->pin;
        }
        self::assertSame(['D13', 'D13'], $pins['SCK']);
        self::assertSame(['D11', 'D11'], $pins['MOSI']);
        self::assertSame(['D12', 'D12'], $pins['MISO']);
        self::assertCount(4, array_unique([...$pins['CE'], ...$pins['CSN']]));
    }

    public function test_a_pinned_wire_stays_and_the_rest_goes_round_it(): void
    {
        $sketch = self::pair()->output('o', 'board', 'O', OutputKind::Relay, 'board-relays', 'IN1')->wire('board-relays', 'IN1', 'D4', true);
        $plan = $sketch->assigned();
        foreach ($plan->pinUsesOf($plan->module($sketch->id('board-relays'))) as $use) {
            self::assertSame('D4', $use->pin);
        }
        self::assertSame([], self::found($plan, 'pin-used-twice'));
    }

    public function test_the_pin_of_a_second_wire_that_stays_is_handed_to_nobody(): void
    {
        $sketch = self::pair()->output('o', 'board', 'O', OutputKind::Relay, 'board-relays', 'IN1')->output('p', 'board', 'P', OutputKind::Relay, 'board-relays', 'IN2');
        $free = $sketch->assigned();
        // The two that relays like best, whichever of the two wires stays.
        [$one, $other] = array_map(static fn (PinUse $use): string => $use->pin, $free->pinUsesOf($free->module($sketch->id('board-relays'))));
        $plan = self::assigner()->assign($sketch->wire('board-relays', 'IN1', $one)->wireAgain('board-relays', 'IN1', $other)->plan())->plan;
        self::assertSame([], self::found($plan, 'pin-used-twice'), "One of {$one} and {$other} was given away.");
    }

    /** @return array<string, string> "module terminal" → pin */
    private static function pins(Plan $plan): array
    {
        $pins = [];
        foreach ($plan->pinUses() as $use) {
            $pins["{$plan->module($use->moduleId)->name} {$use->terminal}"] = $use->pin;
        }

        return $pins;
    }

    public function test_keys_take_pins_that_hold_them_up_while_there_are_any(): void
    {
        // E4: K5 to K8 sat on pins that are inputs without a pull-up, with seven good ones free.
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io')->module('k', 'n', 'button-pad-8', 'Keys');
        foreach (range(1, 8) as $key) {
            $sketch->control("c{$key}", 'n', "C{$key}", ControlKind::Button, 'k', "K{$key}");
        }
        $pins = self::pins($sketch->assigned());
        self::assertCount(8, $pins);
        self::assertSame([], array_intersect($pins, ['IO34', 'IO35', 'IO36', 'IO39']));
    }

    public function test_a_switch_stays_off_the_pins_that_decide_how_the_board_starts(): void
    {
        foreach (['wifi-3v3-11io', 'wifi-3v3-26io'] as $board) {
            $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, $board)->module('k', 'n', 'button-pad-8', 'Keys');
            foreach (range(1, 6) as $key) {
                $sketch->control("c{$key}", 'n', "C{$key}", ControlKind::Switch, 'k', "K{$key}");
            }
            $plan = $sketch->assigned();
            foreach ($plan->pinUses() as $use) {
                self::assertNull(self::knowledge()->catalogue->boards[$board]->pin($use->pin)?->strap, "{$use->terminal} on {$use->pin}");
            }
            self::assertSame([], self::found($plan, 'switch-on-strap'));
        }
    }

    public function test_two_modems_have_a_port_each(): void
    {
        // E5: both got one port of the four.
        $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io')->module('a', 'n', 'modem-lte-eu', 'A')->module('b', 'n', 'modem-lte-eu', 'B')->assigned();
        $pins = self::pins($plan);
        self::assertCount(6, array_unique($pins));
        self::assertSame([], self::found($plan, 'pin-used-twice'));
        self::assertSame([], self::found($plan, 'bus-split'));
    }

    public function test_two_displays_of_one_address_get_a_bus_each(): void
    {
        $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, '32bit-3v3-26io')->module('a', 'n', 'display-i2c', 'A')->module('b', 'n', 'display-i2c', 'B')->module('c', 'n', 'clock-i2c', 'C')->assigned();
        self::assertCount(6, self::pins($plan));
        self::assertSame([], self::found($plan, 'i2c-address-shared'));
    }

    /** Twenty pins, two of them the console's: eight and eight relays and eight keys are more than there are. */
    public function test_assign_adds_the_pins_that_a_board_lacks_and_uses_them(): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt);
        foreach (['a' => 'relay-bank-8-low', 'b' => 'relay-bank-8-low'] as $key => $class) {
            $sketch->module($key, 'n', $class, "Relays {$key}", 'plug');
            for ($number = 1; $number <= 8; $number++) {
                $sketch->output("{$key}{$number}", 'n', "{$key}{$number}");
            }
        }
        $sketch->module('k', 'n', 'button-pad-8', 'Keys');
        for ($number = 1; $number <= 8; $number++) {
            $sketch->control("k{$number}", 'n', "Key {$number}", ControlKind::Button);
        }
        $plan = $sketch->assigned();
        self::assertSame(['Expander'], array_values(array_filter(array_map(static fn (Module $module): string => $module->name, $plan->modules()), static fn (string $name): bool => str_starts_with($name, 'Exp') || str_starts_with($name, 'Shift'))));
        self::assertCount(26, self::pins($plan));
        self::assertSame(26, count(array_unique(self::pins($plan))));
        foreach (['no-pin-left', 'pins-unassigned', 'pin-too-slow', 'expander-fed-otherwise', 'channel-missing'] as $rule) {
            self::assertSame([], self::found($plan, $rule), $rule);
        }
        $node = $plan->node($sketch->id('n'));
        $header = (new CHeader(self::knowledge()))->write($plan, $node);
        self::assertMatchesRegularExpression('/#define EXPANDER_PIN_RELAYS_[AB]_IN\d \d+ /', $header);
        self::assertSame([], self::assigner()->assign($plan)->proposals);
    }

    public function test_a_few_relays_too_many_want_a_shift_register_where_there_is_no_bus(): void
    {
        // SDA and SCL are taken by what the user fixed there.
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-11io')->supply('plug', 'n', 'plug-5v-3a', 'Plug')->module('a', 'n', 'relay-bank-8-high', 'Relays', 'plug');
        for ($number = 1; $number <= 8; $number++) {
            $sketch->output("a{$number}", 'n', "A{$number}");
        }
        $sketch->module('k', 'n', 'button-pad-2', 'Keys')->control('k1', 'n', 'K1', ControlKind::Button, 'k', 'K1')->control('k2', 'n', 'K2', ControlKind::Button, 'k', 'K2')->wire('k', 'K1', 'IO4', true)->wire('k', 'K2', 'IO5', true);
        $plan = $sketch->assigned();
        self::assertContains('Shift register', array_map(static fn (Module $module): string => $module->name, $plan->modules()));
        self::assertSame([], self::found($plan, 'no-pin-left'));
        self::assertCount(14, self::pins($plan));
    }

    public function test_an_expander_takes_no_pin_from_what_has_one_without_it(): void
    {
        // Eleven pins: five for the radio, four for the keyed receiver, one for the infrared one. A bus takes two, and so one too many, whatever it has room for.
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-11io')->supply('plug', 'n', 'plug-5v-3a', 'Plug')
            ->module('p', 'n', 'keyed-receiver-4-toggle', 'Ear')->module('i', 'n', 'infrared-receiver', 'Eye')->module('r', 'n', 'packet-radio-plain', 'Radio')->module('k', 'n', 'button-pad-8', 'Keys');
        foreach (range(1, 7) as $number) {
            $sketch->control("k{$number}", 'n', "Key {$number}", ControlKind::Button);
        }
        $plan = $sketch->assigned();
        self::assertCount(4, $plan->modules());
        self::assertSame([], self::found($plan, 'no-pin-left'));
        $waiting = array_values(array_filter(self::checker()->check($plan)->all(), static fn (Finding $finding): bool => $finding->rule() === 'channel-missing'));
        self::assertCount(6, $waiting);
        self::assertSame('K2 of Keys is free for it, but every pin of the board that could serve that is taken.', $waiting[0]->detail);
        self::assertSame('Free a pin, or build the node on a larger board, then Assign.', $waiting[0]->remedy);
    }

    public function test_keys_and_sticks_go_onto_a_pad_that_tells_of_all_its_keys_by_itself(): void
    {
        $plan = self::sketch()->node('n', 'N', NodeKind::Handset, null, '8bit-5v-20io')->module('p', 'n', 'pad-wireless', 'Pad')
            ->control('go', 'n', 'Go', ControlKind::Button)->control('stop', 'n', 'Stop', ControlKind::Button)->control('steer', 'n', 'Steer', ControlKind::Axis)->assigned();
        self::assertSame([], self::found($plan, 'channel-missing'));
        self::assertCount(3, array_unique(array_map(static fn (Control $control): string => (string) $control->terminal, $plan->controls())));
        self::assertCount(4, self::pins($plan), 'its own four, and none for its keys');
    }

    public function test_what_can_hurt_stays_on_the_board_itself(): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('plug', 'n', 'plug-5v-1a', 'Plug')->module('x', 'n', 'expander-i2c-16', 'Expander')->module('r', 'n', 'relay-bank-2-high', 'Relays', 'plug')
            ->output('gate', 'n', 'Gate', OutputKind::Relay, 'r', 'IN1', more: ['hazards' => ['motion']])->output('lamp', 'n', 'Lamp', OutputKind::Relay, 'r', 'IN2');
        foreach (['D2', 'D3', 'D4', 'D5', 'D6', 'D7', 'D8'] as $pin) {
            // No plain pin is left, but better ones are.
            $sketch->module("k{$pin}", 'n', 'button-pad-1', "Key {$pin}")->control("c{$pin}", 'n', "Key {$pin}", ControlKind::Button, "k{$pin}", 'K1')->wire("k{$pin}", 'K1', $pin);
        }
        $plan = $sketch->assigned();
        self::assertSame([], self::found($plan, 'hazard-keeps-state'));
        self::assertSame([], self::found($plan, 'no-pin-left'));
    }

    public function test_a_catalogue_of_one_plan_is_none_of_another(): void
    {
        $shipped = self::knowledge()->catalogue;
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io');
        $bare = $sketch->plan();
        $with = $sketch->module('x', 'n', 'expander-i2c-16', 'Expander')->plan();
        $node = $bare->node($sketch->id('n'));
        self::assertNotNull($shipped->with($with)->boardOf($node)?->pin('X0'));
        self::assertNull($shipped->with($with)->with((new Editor(self::knowledge()))->apply($with, [Operation::remove(ThingKind::Module, $sketch->id('x'))])->plan)->boardOf($node)?->pin('X0'));
    }

    public function test_signals_that_want_one_timer_are_kept_apart(): void
    {
        // Servo: timer 1; emitter: a timer of its own; two dimmers: what is left, and never the emitter's.
        $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')
            ->module('s', 'n', 'servo-small', 'Servo')->output('so', 'n', 'Flap', OutputKind::Servo, 's', 'SIG')
            ->module('e', 'n', 'infrared-emitter', 'Emitter')
            ->module('f', 'n', 'transistor-4v5', 'Fan')->output('fo', 'n', 'Air', OutputKind::Pwm, 'f', 'GATE')
            ->module('g', 'n', 'transistor-4v5', 'Glow')->output('go', 'n', 'Light', OutputKind::Pwm, 'g', 'GATE')
            ->assigned();
        $pins = [];
        foreach ($plan->pinUses() as $use) {
            $pins[$plan->module($use->moduleId)->name] = $use->pin;
        }
        ksort($pins);
        self::assertSame(['Emitter' => 'D3', 'Fan' => 'D5', 'Glow' => 'D6'], array_intersect_key($pins, ['Emitter' => 1, 'Fan' => 1, 'Glow' => 1]));
        self::assertSame([], self::found($plan, 'timer-taken'));
    }

    /** @return iterable<string, array{Closure(Sketch): Sketch, array<string, string>}> what is on the board besides, and the pins of emitters */
    public static function carriers(): iterable
    {
        $on = static fn (Sketch $s, string $board): Sketch => $s->node('n', 'N', NodeKind::Controller, null, $board);
        $eye = static fn (Sketch $s, string $name = 'Eye', ?string $pin = null): Sketch => $pin === null ? $s->module(strtolower($name), 'n', 'infrared-emitter', $name) : $s->module(strtolower($name), 'n', 'infrared-emitter', $name)->wire(strtolower($name), 'IN', $pin);
        $fan = static fn (Sketch $s, string $pin): Sketch => $s->module('fan', 'n', 'transistor-4v5', 'Fan')->output('air', 'n', 'Air', OutputKind::Pwm, 'fan', 'GATE')->wire('fan', 'GATE', $pin);
        $beep = static fn (Sketch $s): Sketch => $s->module('beep', 'n', 'buzzer-driven', 'Beep')->output('sound', 'n', 'Sound', OutputKind::Tone, 'beep', 'SIG');
        $servo = static fn (Sketch $s): Sketch => $s->module('servo', 'n', 'servo-small', 'Servo')->output('flap', 'n', 'Flap', OutputKind::Servo, 'servo', 'SIG');
        // Timers from memory of the classes' sheets: of the small board 1 (9, 10: servo), 2 (3, 11: tone); of the large 1 (11, 12), 2 (9, 10: tone), 3 (2, 3, 5), 4 (6 to 8), 5 (44 to 46: servo).
        yield 'the lowest pin of a free timer' => [static fn (Sketch $s): Sketch => $eye($on($s, '8bit-5v-20io')), ['Eye' => 'D3']];
        yield 'a timer that no library takes goes before' => [static fn (Sketch $s): Sketch => $eye($on($s, '8bit-5v-70io')), ['Eye' => 'D2']];
        yield 'not the one that dims' => [static fn (Sketch $s): Sketch => $eye($fan($on($s, '8bit-5v-70io'), 'D3')), ['Eye' => 'D6']];
        $fans = static fn (Sketch $s, string ...$pins): Sketch => array_reduce(array_keys($pins), static fn (Sketch $s, int $at): Sketch => $s->module("fan{$at}", 'n', 'transistor-4v5', "Fan {$at}")->output("air{$at}", 'n', "Air {$at}", OutputKind::Pwm, "fan{$at}", 'GATE')->wire("fan{$at}", 'GATE', $pins[$at]), $s);
        yield 'rather the tone\'s, where nothing sounds, than one that dims' => [static fn (Sketch $s): Sketch => $eye($fans($on($s, '8bit-5v-70io'), 'D3', 'D6', 'D11')), ['Eye' => 'D9']];
        yield 'where all dim, the one that dims least, whose fan goes elsewhere' => [static fn (Sketch $s): Sketch => $eye($fans($on($s, '8bit-5v-70io'), 'D2', 'D3', 'D6', 'D7', 'D9', 'D11', 'D44')), ['Eye' => 'D11']];
        yield 'of those alike the one with the lowest pin' => [static fn (Sketch $s): Sketch => $eye($fans($on($s, '8bit-5v-70io'), 'D3', 'D6', 'D9', 'D11', 'D44')), ['Eye' => 'D2']];
        yield 'not the one of the tone' => [static fn (Sketch $s): Sketch => $eye($beep($on($s, '8bit-5v-20io'))), ['Eye' => 'D9']];
        yield 'not the one of the servo' => [static fn (Sketch $s): Sketch => $eye($servo($fan($on($s, '8bit-5v-20io'), 'D5'))), ['Eye' => 'D3']];
        yield 'none is left' => [static fn (Sketch $s): Sketch => $eye($servo($beep($on($s, '8bit-5v-20io')))), []];
        yield 'it stays where it is' => [static fn (Sketch $s): Sketch => $eye($on($s, '8bit-5v-20io'), pin: 'D10'), ['Eye' => 'D10']];
        yield 'the clock\'s timer is no place to stay' => [static fn (Sketch $s): Sketch => $eye($on($s, '8bit-5v-20io'), pin: 'D5'), ['Eye' => 'D3']];
        yield 'two share a timer, which has one pace' => [static fn (Sketch $s): Sketch => $eye($eye($on($s, '8bit-5v-20io'), 'Eye', 'D11'), 'Other'), ['Eye' => 'D11', 'Other' => 'D3']];
        yield 'two new ones likewise' => [static fn (Sketch $s): Sketch => $eye($eye($fan($on($s, '8bit-5v-20io'), 'D9')), 'Other'), ['Eye' => 'D3', 'Other' => 'D11']];
    }

    /**
     * @param  Closure(Sketch): Sketch  $draw
     * @param  array<string, string>  $expected
     */
    #[DataProvider('carriers')]
    public function test_an_infrared_carrier_gets_a_timer_that_nothing_else_wants(Closure $draw, array $expected): void
    {
        $sketch = $draw(self::sketch());
        $plan = $sketch->plan();
        $pins = [];
        foreach ((new PinPlanner(self::knowledge()->catalogue))->plan($plan, $plan->node($sketch->id('n')))->placed ?? [] as ['demand' => $demand, 'pin' => $pin]) {
            if ($demand->wants[0]['terminal']->signal === Signal::Carrier) {
                $pins[$demand->wants[0]['module']->name] = $pin->name;
            }
        }
        ksort($pins);
        self::assertSame($expected, $pins);
    }

    public function test_a_motor_s_direction_pins_come_with_its_speed(): void
    {
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->module('m', 'n', 'motor-bridge-2', 'Motors');
        self::assertCount(0, $sketch->assigned()->pinUses());
        $plan = $sketch->output('o', 'n', 'Left', OutputKind::Motor)->assigned();
        self::assertEqualsCanonicalizing(['ENA', 'IN1', 'IN2'], array_map(static fn (PinUse $use): string => $use->terminal, $plan->pinUses()));
    }

    public function test_what_is_wired_well_keeps_its_pins_when_the_board_is_too_full(): void
    {
        // E6: eight keys on the small Wi-Fi board, then a radio: its lines went where K3 and K4 stayed.
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-11io')->module('k', 'n', 'button-pad-8', 'Keys');
        foreach (range(1, 8) as $key) {
            $sketch->control("c{$key}", 'n', "C{$key}", ControlKind::Button, 'k', "K{$key}");
        }
        $before = $sketch->assigned();
        self::assertCount(8, self::pins($before));
        $radio = new Module($sketch->id('x'), $sketch->id('n'), 'packet-radio-plain', 'Radio');
        $crowded = (new Editor(self::knowledge()))->apply($before, [Operation::add($radio)])->plan;
        $after = self::assigner()->assign($crowded)->plan;
        self::assertSame([], self::found($after, 'pin-used-twice'));
        self::assertCount(8, array_filter(array_keys(self::pins($after)), static fn (string $what): bool => str_starts_with($what, 'Keys ')));
        // Keys are slow: an expander makes room for all of it.
        self::assertSame([], [...self::found($after, 'no-pin-left'), ...self::found($after, 'bus-pins-missing')]);
        // Where the user has fixed the keys nothing can make room: they stay, and what is left over is said.
        $fixed = (new Editor(self::knowledge()))->apply($crowded, array_map(static fn (PinUse $use): Operation => Operation::change(PinUse::kind(), $use->id, ['pinned' => true]), $crowded->pinUses()))->plan;
        $after = self::assigner()->assign($fixed)->plan;
        self::assertSame([], self::found($after, 'pin-used-twice'));
        self::assertSame(self::pins($before), array_intersect_key(self::pins($after), self::pins($before)));
        self::assertNotSame([], [...self::found($after, 'no-pin-left'), ...self::found($after, 'bus-pins-missing')]);
    }

    public function test_one_pin_that_was_fixed_wrongly_drags_no_other_module_along(): void
    {
        // E7.
        $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')
            ->module('a', 'n', 'packet-radio-plain', 'A')->module('b', 'n', 'packet-radio-plain', 'B')
            ->wire('a', 'SCK', 'D5', true)
            ->assigned();
        $pins = self::pins($plan);
        self::assertSame(['D5', 'D13'], [$pins['A SCK'], $pins['B SCK']]);
        self::assertSame(['D11', 'D12'], [$pins['B MOSI'], $pins['B MISO']]);
    }

    public function test_where_a_line_was_fixed_wrongly_no_other_line_is_put(): void
    {
        // What comes in was put on its own wrong pin, and what goes out fixed on the only right one for it.
        $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')
            ->module('a', 'n', 'packet-radio-plain', 'A')->wire('a', 'MOSI', 'D12', true)->wire('a', 'MISO', 'D5')
            ->assigned();
        $pins = self::pins($plan);
        self::assertSame(['D12', 'D5'], [$pins['A MOSI'], $pins['A MISO']]);
        self::assertSame([], self::found($plan, 'pin-used-twice'));
    }

    public function test_a_line_that_was_fixed_on_another_bus_takes_its_module_there(): void
    {
        $plan = self::sketch()->node('n', 'N', NodeKind::Controller, null, 'wifi-3v3-26io')
            ->module('a', 'n', 'packet-radio-plain', 'A')->wire('a', 'SCK', 'IO14', true)->assigned();
        self::assertSame([], self::found($plan, 'bus-split'));
        self::assertSame('IO13', self::pins($plan)['A MOSI']);
    }
}
