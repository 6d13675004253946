<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Build\BehaviourFiles;
use Rundfunk\Check\Finding;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** What holds for lines of bought devices of every kind: described well or in haste, used for what they can and for what they cannot. */
final class BoughtLawsTest extends CoreTestCase
{
    use HoldsLaws;

    /** What is only now worked over the line is only now asked what it cannot do, not answered, not checked, taken for an echo, or set beyond. */
    private const SHOWN_BY_ASSIGN = ['serial-unchecked', 'serial-function-cannot', 'serial-value-beyond', 'serial-done-unknown', 'serial-done-unfelt', 'serial-echo-taken', 'serial-says-unasked'];

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        [$first, $last] = array_map(intval(...), explode('-', (string) (getenv('SEEDS') ?: '1-60')));
        for ($seed = $first; $seed <= $last; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    private static function drawn(int $seed): Plan
    {
        mt_srand($seed);
        $one = static fn (array $of): mixed => $of[mt_rand(0, count($of) - 1)];
        $sketch = self::sketch();
        foreach (['p', 'q'] as $key) {
            $protocol = $one(array_values(Devices::protocols()));
            foreach ($protocol['items'] as $at => $item) {
                $protocol['items'][$at] = match (mt_rand(0, 11)) {
                    0 => [...$item, 'takesMs' => $one([0, 500, 9_000]), 'done' => $one(['waited', 'polled', 'answered']), 'doneBy' => $one(['', 'Moving', 'Lamp'])],
                    1 => [...$item, 'answered' => true],
                    2 => [...$item, 'everyMs' => $one([20, 50, 2_000])],
                    3 => [...$item, 'code' => mt_rand(1, 7)],
                    4 => [...$item, 'sends' => [['bits' => mt_rand(5, 9), 'given' => true, 'lowest' => 0, 'highest' => $one([1, 100, 300])]]],
                    default => $item,
                };
            }
            if (mt_rand(0, 5) === 0) {
                $protocol['check'] = $one(['none', 'crc-8', 'crc-16/xmodem']);
            }
            $sketch->protocol($key, "Kind {$key}", $protocol);
        }
        $sketch->link('l', 'Line', 'serial', ['topology' => $one(['polled', 'polled', 'pair', 'ring']), 'levels' => $one(['logic', 'rs-485', 'rs-232']), 'lengthM' => $one([0.5, 20.0]), 'baud' => $one([9_600, 38_400]), 'timeoutMs' => $one([null, 200])]);
        foreach (range(1, mt_rand(0, 6) === 0 ? 2 : 1) as $board) {
            $sketch->node("n{$board}", "Board {$board}", NodeKind::Controller, null, '8bit-5v-70io')->module("k{$board}", "n{$board}", 'button-pad-1', 'Keys')->control("key{$board}", "n{$board}", "Key {$board}")->output("out{$board}", "n{$board}", "Out {$board}")
                ->control("x{$board}", "n{$board}", "Stick {$board}", ControlKind::Axis)->join('l', "n{$board}", Role::Both, null, ['asks' => mt_rand(0, 1) === 1]);
        }
        $devices = mt_rand(1, 3);
        for ($device = 1; $device <= $devices; $device++) {
            $sketch->node("d{$device}", "Device {$device}", $one([NodeKind::Fixture, NodeKind::Remote]), null, null, ['protocolId' => $one([null, $sketch->id('p'), $sketch->id('p'), $sketch->id('p'), $sketch->id('q')])])
                ->join('l', "d{$device}", Role::Both, null, array_filter(['station' => $one([null, null, 1, 2, 40])], is_int(...)));
            foreach (range(1, mt_rand(1, 3)) as $place) {
                $sketch->output("f{$device}{$place}", "d{$device}", $one(['Go', 'Lamp', 'Speed', 'Rest']), OutputKind::Function, null, $one([null, 'Go', 'Lamp', 'Home', 'Moving']), more: ['hazards' => mt_rand(0, 4) === 0 ? ['motion'] : [], 'settings' => ['lowest' => $one([0, -2_000]), 'highest' => $one([100, 2_000])]])
                    ->route($one(['key1', 'x1']), $one([Action::On, Action::Off, Action::Toggle, Action::Set, Action::Momentary]), "f{$device}{$place}", value: $one([null, 5, 500]));
            }
            $sketch->control("r{$device}", "d{$device}", $one(['Warmth', 'Moving', 'Card', 'Go']), $one([ControlKind::Reading, ControlKind::Key]), null, $one([null, 'Warmth', 'Go', 'Card']), $one([[], ['threshold' => 0.5, 'hysteresis' => 0.2]]));
            if (mt_rand(0, 1) === 1) {
                $sketch->route("r{$device}", $one([Action::On, Action::Follow, Action::Set]), 'out1');
            }
        }

        return $sketch->plan();
    }

    #[DataProvider('seeds')]
    public function test_assign_is_done_when_it_is_done_and_brings_nothing_grave(int $seed): void
    {
        $plan = self::drawn($seed);
        $assigned = self::assigner()->assign($plan)->plan;
        self::assertSame([], array_map(static fn ($one): string => "{$one->what}: {$one->before} → {$one->after}", self::assigner()->assign($assigned)->proposals));
        $new = array_filter(array_diff_key(self::grave($assigned), self::grave($plan)), static fn (Finding $finding): bool => ! in_array($finding->rule(), self::SHOWN_BY_ASSIGN, true));
        self::assertSame([], array_map(static fn (Finding $finding): string => "{$finding->rule()}: {$finding->title}", array_values($new)));
    }

    #[DataProvider('seeds')]
    public function test_a_fix_takes_its_finding_away_and_brings_none_as_grave(int $seed): void
    {
        self::assertFixesMend(self::assigner()->assign(self::drawn($seed))->plan);
    }

    /** Whatever was written down, the header of the board is C, or says why it is none. */
    #[DataProvider('seeds')]
    public function test_every_header_is_written(int $seed): void
    {
        $plan = self::assigner()->assign(self::drawn($seed))->plan;
        $text = BehaviourFiles::of($plan, $plan->nodes()[0], self::knowledge())[0]->content;

        self::assertSame(0, preg_match('/\{[lL]\}|\{slots\}|\{wait\}|\{notices\}/', $text, $left), $left[0] ?? '');
    }
}
