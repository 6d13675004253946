<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Build\BehaviourFiles;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Medium\Serial\Line\Programs;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** What holds for lines of every kind, drawn from nothing: any levels, any order, any boards. */
final class SerialLawsTest extends CoreTestCase
{
    use HoldsLaws;

    /** What is only now worked over the line is only now unchecked; a part that only now has a line was too slow for it before. */
    private const SHOWN_BY_ASSIGN = ['serial-unchecked', 'serial-part-too-slow'];

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
        $settings = [];
        foreach (SerialSettings::shape()->fields as $name => $field) {
            $choices = $field->type->schema()['enum'] ?? null;
            if (is_array($choices) && mt_rand(0, 1) === 1) {
                $settings[$name] = $one(array_values($choices));
            }
        }
        $settings['lengthM'] = $one([null, 0.5, 20.0, 300.0]);
        $settings['timeoutMs'] = $one([null, null, 3, 500]);
        $sketch = self::sketch()->link('l', 'Line', 'serial', $settings);
        $count = mt_rand(1, 6);
        $parts = ['serial-wire', 'rs485-5v', 'rs485-3v3', 'rs485-isolated', 'rs232-converter'];
        for ($number = 1; $number <= $count; $number++) {
            $sketch->node("n{$number}", "Node {$number}", $one([NodeKind::Controller, NodeKind::Gateway]), null, $one(['8bit-5v-20io', '8bit-5v-70io', '32bit-3v3-26io', 'wifi-3v3-26io', 'wifi-3v3-11io', 'computer-40pin']))
                ->module("w{$number}", "n{$number}", match ($settings['levels'] ?? 'logic') {
                    'rs-485' => $one(['rs485-5v', 'rs485-3v3', 'rs485-isolated', ...$parts]), 'rs-232' => 'rs232-converter', default => 'serial-wire'
                }, "Port {$number}")
                ->module("k{$number}", "n{$number}", 'button-pad-1', 'Key')->control("key{$number}", "n{$number}", "Key {$number}")
                ->module("r{$number}", "n{$number}", 'relay-bank-1-low', 'Relay', FedFrom::Own)->output("out{$number}", "n{$number}", "Out {$number}", more: ['hazards' => mt_rand(0, 3) === 0 ? ['heat'] : []])
                ->join('l', "n{$number}", $one([Role::Both, Role::Both, Role::Both, Role::Sends, Role::Receives]), mt_rand(0, 3) === 0 ? "w{$number}" : null, array_filter([
                    'station' => $one([null, null, 0, 1, 2, 250]), 'asks' => mt_rand(0, 2) === 0, 'idBy' => $one(['flashing', 'switches']), 'switches' => mt_rand(1, 8),
                    'terminated' => mt_rand(0, 2) === 0, 'biased' => mt_rand(0, 2) === 0, 'restMs' => $one([0, 0, 5_000]),
                ], static fn (mixed $value): bool => $value !== null), mt_rand(0, 4) === 0 ? ['broadcast'] : []);
        }
        $routes = [];
        for ($route = 1; $route <= mt_rand(0, 6); $route++) {
            $drawn = ['key'.mt_rand(1, $count), $one([Action::On, Action::Off, Action::Toggle]), 'out'.mt_rand(1, $count)];
            $routes["{$drawn[0]} {$drawn[2]} {$drawn[1]->value}"] = $drawn;
        }
        foreach ($routes as $drawn) {
            $sketch->route(...$drawn);
        }

        return $sketch->plan();
    }

    #[DataProvider('seeds')]
    public function test_assign_leaves_nothing_that_it_could_hand_out_and_is_done_when_it_is_done(int $seed): void
    {
        $plan = self::drawn($seed);
        $assigned = self::assigner()->assign($plan)->plan;
        $byRule = self::checker()->check($assigned)->byRule();
        foreach (['serial-asker-missing', 'serial-id-missing', 'serial-id-shared', 'serial-id-impossible', 'serial-timeout-short', 'serial-terminators', 'serial-bias-missing', 'serial-level-too-high', 'serial-level-too-low'] as $rule) {
            // Six boxes of one switch each have one id between them.
            $left = array_filter($byRule[$rule] ?? [], static fn (Finding $finding): bool => ! in_array($rule, ['serial-id-missing', 'serial-id-impossible', 'serial-id-shared'], true) || ! self::isShortOfIds($assigned));
            self::assertSame([], array_map(static fn (Finding $finding): string => $finding->title, $left), $rule);
        }
        self::assertSame([], self::assigner()->assign($assigned)->proposals);
        $new = array_filter(array_diff_key(self::grave($assigned), self::grave($plan)), static fn (Finding $finding): bool => ! in_array($finding->rule(), [...self::SHOWN_BY_ASSIGN, ...(self::isShortOfIds($assigned) ? ['serial-id-shared'] : [])], true));
        self::assertSame([], array_map(static fn (Finding $finding): string => "{$finding->rule()}: {$finding->title}", array_values($new)));
    }

    private static function isShortOfIds(Plan $plan): bool
    {
        foreach ($plan->endpoints() as $end) {
            if ($end->settings['idBy'] === 'switches' && $end->settings['switches'] < 3) {
                return true;
            }
        }

        return false;
    }

    #[DataProvider('seeds')]
    public function test_a_fix_takes_its_finding_away_and_brings_none_as_grave(int $seed): void
    {
        self::assertFixesMend(self::drawn($seed));
    }

    public function test_programs_are_written_for_every_line_that_is_complete(): void
    {
        $written = 0;
        for ($seed = 1; $seed <= 40; $seed++) {
            $plan = self::assigner()->assign(self::drawn($seed))->plan;
            foreach ($plan->endpoints() as $end) {
                $text = BehaviourFiles::of($plan, $plan->node($end->nodeId), self::knowledge())[0]->content;
                $has = Programs::of($plan, $end, self::knowledge()->media) !== null;
                $written += $has ? 1 : 0;
                self::assertSame($has, str_contains($text, 'line_start('), "seed {$seed}");
            }
        }
        self::assertGreaterThan(60, $written);
    }
}
