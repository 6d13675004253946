<?php

declare(strict_types=1);

namespace Tests\Core\Power\Circuits;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Plan\FeedsAt;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Power\Circuits\Banks;
use Tests\Core\CoreTestCase;

/** Which bank an output comes to, by what hangs on it: a row a case, few enough to be seen at a glance. */
final class BanksTest extends CoreTestCase
{
    private const TWO = ['relay-bank-2-high', 'relay-bank-2-high'];

    /** @return iterable<string, array{list<string>, list<array{watts: float|null, circuit?: string, use?: string, kind?: OutputKind, on?: array{int, string}}>, array<int, int>}> banks, outputs, and of each output that is spread its bank */
    public static function cases(): iterable
    {
        $watts = static fn (?float ...$each): array => array_map(static fn (?float $one): array => ['watts' => $one], $each);
        yield 'two on two' => [self::TWO, $watts(100.0, 50.0), [0 => 0, 1 => 1]];
        yield 'three: the heaviest alone' => [self::TWO, $watts(100.0, 60.0, 30.0), [0 => 0, 1 => 1, 2 => 1]];
        yield 'a watt each' => [self::TWO, $watts(1.0, 1.0), [0 => 0, 1 => 1]];
        yield 'one alone is at home anywhere' => [self::TWO, $watts(100.0), []];
        yield 'on one bank there is nothing to spread' => [['relay-bank-2-high'], $watts(100.0, 50.0), []];
        yield 'banks of two kinds are not alike' => [['relay-bank-2-high', 'relay-bank-2-low'], $watts(100.0, 50.0), []];
        yield 'a bank that keeps its state is another' => [['relay-bank-2-high', 'relay-latching-1'], $watts(100.0, 50.0), []];
        yield 'and what is no bank is none' => [['relay-bank-2-high', 'button-pad-2'], $watts(100.0, 50.0), []];
        yield 'beside those, banks alike are spread over' => [[...self::TWO, 'relay-latching-1'], $watts(100.0, 50.0), [0 => 0, 1 => 1]];
        yield 'what nobody has read is left to others' => [self::TWO, $watts(100.0, 50.0, null), [0 => 0, 1 => 1]];
        yield 'and what takes less than half a watt' => [self::TWO, $watts(100.0, 0.4), []];
        yield 'and what is unplugged' => [self::TWO, [['watts' => 100.0], ['watts' => 80.0, 'use' => 'unplugged']], []];
        yield 'and what is no relay' => [self::TWO, [['watts' => 100.0], ['watts' => 80.0, 'kind' => OutputKind::Pwm]], []];
        yield 'the mains and low voltage keep apart, evenly or not' => [self::TWO, [['watts' => 100.0], ['watts' => 50.0, 'circuit' => 'low']], []];
        yield 'low voltage alone is spread' => [self::TWO, [['watts' => 100.0, 'circuit' => 'low'], ['watts' => 50.0, 'circuit' => 'low']], [0 => 0, 1 => 1]];
        yield 'what hangs there already counts' => [self::TWO, [['watts' => 500.0, 'on' => [0, 'IN1']], ['watts' => 100.0], ['watts' => 90.0]], [1 => 1, 2 => 1]];
        yield 'what is taken is no room' => [self::TWO, [['watts' => 1.0, 'on' => [0, 'IN1']], ['watts' => 1.0, 'on' => [0, 'IN2']], ['watts' => 100.0], ['watts' => 90.0]], [2 => 1, 3 => 1]];
        yield 'more than there is room for' => [self::TWO, $watts(50.0, 40.0, 30.0, 20.0, 10.0), []];
    }

    /**
     * @param  list<string>  $banks
     * @param  list<array{watts: float|null, circuit?: string, use?: string, kind?: OutputKind, on?: array{int, string}}>  $outputs
     * @param  array<int, int>  $expected
     */
    #[DataProvider('cases')]
    public function test_the_loads_come_to_banks_as_evenly_as_they_can(array $banks, array $outputs, array $expected): void
    {
        $sketch = self::sketch()->circuit('mains', 'Mains')->circuit('low', 'Low', ['volts' => 12.0, 'direct' => true])
            ->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io')->supply('plug', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt);
        foreach ($banks as $number => $class) {
            $sketch->module("m{$number}", 'n', $class, "Bank {$number}", 'plug');
        }
        $taken = [];
        foreach ($outputs as $number => $output) {
            [$bank, $channel] = $output['on'] ?? [null, null];
            $sketch->output("o{$number}", 'n', "Out {$number}", $output['kind'] ?? OutputKind::Relay, $bank === null ? null : "m{$bank}", $channel)
                ->load("l{$number}", "Thing {$number}", "o{$number}", $output['circuit'] ?? 'mains', LoadKind::Resistive, $output['watts'], ['use' => $output['use'] ?? 'switched']);
            if ($bank !== null) {
                $taken[$sketch->id("m{$bank}")." {$channel}"] = true;
            }
        }
        $plan = $sketch->plan();
        $homeless = array_values(array_filter($plan->outputs(), static fn (Output $output): bool => $output->moduleId === null));
        $spread = [];
        foreach (Banks::spread($plan, $plan->nodes()[0], $homeless, $taken, self::knowledge()->catalogue) as $output => $module) {
            $spread[(int) substr($plan->output($output)->name, 4)] = (int) substr($plan->module($module)->name, 5);
        }
        ksort($spread);
        self::assertSame($expected, $spread);
    }
}
