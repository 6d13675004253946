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
        yield 'half a watt and a little is one' => [self::TWO, $watts(100.0, 0.6), [0 => 0, 1 => 1]];
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

    /** @return iterable<string, array{list<array{string|null, string}>, list<array{string|null, string}>, bool}> of what hangs on the first output, of what is to come beside it: by what it is fed, how it is used; whether that mixes */
    public static function neighbours(): iterable
    {
        $by = static fn (?string $fed, string $use = 'switched'): array => [[$fed, $use]];
        yield 'low voltage beside the mains' => [$by('mains'), $by('low'), true];
        yield 'the mains beside low voltage' => [$by('low'), $by('mains'), true];
        yield 'the mains beside what a supply feeds' => [$by('supply'), $by('mains'), true];
        yield 'the mains twice' => [$by('mains'), $by('mains'), false];
        yield 'low voltage twice' => [$by('low'), $by('supply'), false];
        yield 'beside what nobody has said' => [$by(null), $by('mains'), false];
        yield 'what nobody has said' => [$by('mains'), $by(null), false];
        yield 'beside what is unplugged' => [$by('low', 'unplugged'), $by('mains'), false];
        yield 'beside nothing, itself of both kinds' => [[], [...$by('mains'), ...$by('low')], false];
        yield 'beside both' => [[...$by('mains'), ...$by('low')], $by('mains'), true];
    }

    /**
     * @param  list<array{string|null, string}>  $there
     * @param  list<array{string|null, string}>  $comes
     */
    #[DataProvider('neighbours')]
    public function test_the_mains_and_low_voltage_are_told_apart_on_a_bank(array $there, array $comes, bool $mixes): void
    {
        $sketch = self::sketch()->circuit('mains', 'Mains')->circuit('low', 'Low', ['volts' => 12.0, 'direct' => true])
            ->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->supply('supply', 'n', 'plug-5v-3a', 'Plug', null, FeedsAt::FiveVolt)->module('m', 'n', 'relay-bank-2-high', 'Bank', 'supply')
            ->output('first', 'n', 'First', OutputKind::Relay, 'm', 'IN1')->output('second', 'n', 'Second', OutputKind::Relay, 'm', 'IN2');
        foreach (['first' => $there, 'second' => $comes] as $output => $loads) {
            foreach ($loads as $number => [$fed, $use]) {
                $sketch->load("{$output}-{$number}", 'Thing', $output, $fed === 'supply' ? null : $fed, LoadKind::Resistive, 10.0, ['use' => $use, 'supplyId' => $fed === 'supply' ? $sketch->id('supply') : null]);
            }
        }
        $plan = $sketch->plan();
        self::assertSame($mixes, Banks::mixes($plan, $plan->module($sketch->id('m')), $plan->output($sketch->id('second'))));
    }
}
