<?php

declare(strict_types=1);

namespace Tests\Core\Pins;

use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Tests\Core\CoreTestCase;
use Tests\Core\Optimum;

/** Wires of crowded boards against a proven optimum, with what each pin can do as the board's file says it and no word of the program's. */
final class PinOptimumTest extends CoreTestCase
{
    /** As few without a pin as can be, of those as few that had one; then as few that move, but for those that
     * flee the console, which should be free. */
    private const MODEL = <<<'MZN'
        int: n;
        int: pins;
        array[1..n] of set of int: able;
        array[1..n] of int: now;
        set of int: console;
        array[1..n] of var 0..pins: at;
        constraint forall(i in 1..n)(at[i] = 0 \/ at[i] in able[i]);
        constraint forall(i, j in 1..n where i < j)(at[i] = 0 \/ at[i] != at[j]);
        var int: without = sum(i in 1..n)(bool2int(at[i] = 0));
        var int: boot = sum(i in 1..n)(bool2int(at[i] in console));
        var int: moved = sum(i in 1..n)(bool2int(now[i] > 0 /\ at[i] != now[i] /\ at[i] != 0));
        var int: fled = sum(i in 1..n)(bool2int(now[i] in console /\ at[i] != now[i] /\ at[i] != 0));
        solve minimize 100000 * without + 1000 * (moved - fled) + 100 * boot + 10 * fled;
        output ["\(without) \(moved)"];
        MZN;

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 12; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_no_wiring_leaves_fewer_without_a_pin_or_moves_fewer(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $board = ['8bit-5v-20io', 'wifi-3v3-11io', 'wifi-3v3-13io'][$random->getInt(0, 2)];
        $file = json_decode((string) file_get_contents(dirname(__DIR__, 3)."/core/catalogue/boards/{$board}.json"), true);
        self::assertIsArray($file);
        $names = array_column($file['pins'], 'name');
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, $board);
        // Each wants one thing of a pin: a level out, a level in, a converter, a share of the time.
        $kinds = [['relay-bank-1-high', 'IN1', 'digital-out'], ['button-pad-1', 'K1', 'digital-in'], ['sensor-soil', 'AOUT', 'analogue'], ['transistor-2v5', 'GATE', 'pwm']];
        $wants = [];
        $now = [];
        for ($number = 1, $count = $random->getInt(3, 9); $number <= $count; $number++) {
            [$class, $terminal, $need] = $kinds[$random->getInt(0, 3)];
            $terminal = array_key_first(self::knowledge()->catalogue->modules[$class]->terminals) ?? $terminal;
            $sketch->module("m{$number}", 'n', $class, "M{$number}");
            match ($need) {
                'digital-out' => $sketch->output("o{$number}", 'n', "O{$number}", OutputKind::Relay, "m{$number}", $terminal),
                'pwm' => $sketch->output("o{$number}", 'n', "O{$number}", OutputKind::Pwm, "m{$number}", $terminal),
                'analogue' => $sketch->control("c{$number}", 'n', "C{$number}", ControlKind::Reading, "m{$number}", $terminal),
                default => $sketch->control("c{$number}", 'n', "C{$number}", ControlKind::Button, "m{$number}", $terminal),
            };
            $able = self::able($file['pins'], $need, self::knowledge()->catalogue->modules[$class]->terminals[$terminal]->pulls?->level()->value);
            $wants[] = Optimum::set($able);
            $at = $random->getInt(0, 2) === 0 && $able !== [] ? $able[$random->getInt(0, count($able) - 1)] : 0;
            $at = in_array($at, $now, true) ? 0 : $at;
            $now[] = $at;
            if ($at > 0) {
                $sketch->wire("m{$number}", $terminal, $names[$at - 1]);
            }
        }
        $console = array_keys(array_filter($file['pins'], static fn (array $pin): bool => isset($pin['console'])));
        $expected = Optimum::of(self::MODEL, ['n' => (string) count($wants), 'pins' => (string) count($names), 'able' => Optimum::list($wants), 'now' => Optimum::list($now), 'console' => Optimum::set(array_map(static fn (int $at): int => $at + 1, $console))]);
        $plan = $sketch->plan();
        // The wires alone: expanders are not to help.
        $planned = (new \Rundfunk\Pins\PinPlanner(self::knowledge()->catalogue))->plan($plan, $plan->node($sketch->id('n')));
        self::assertNotNull($planned);
        $moved = 0;
        foreach ($planned->placed as ['demand' => $demand, 'pin' => $pin]) {
            $use = $demand->wants[0]['use'];
            $moved += $use !== null && $use->pin !== $pin->name ? 1 : 0;
        }
        self::assertSame($expected, count($planned->unplaced)." {$moved}");
    }

    /**
     * @param  list<array<string, mixed>>  $pins
     * @return list<int> from 1 on; a boot pin only where the terminal holds it as it must be
     */
    private static function able(array $pins, string $need, ?string $level): array
    {
        $able = [];
        foreach ($pins as $at => $pin) {
            if (in_array($need, (array) $pin['can'], true) && (! isset($pin['strap']) || $level === null || $pin['strap'] === $level)) {
                $able[] = $at + 1;
            }
        }

        return $able;
    }
}
