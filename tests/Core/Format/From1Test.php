<?php

declare(strict_types=1);

namespace Tests\Core\Format;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Format\PlanReader;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Supply;
use Rundfunk\Shape\PlanRefused;
use Tests\Core\CoreTestCase;

/** Plan files of format 1: a module said by one word what fed it, and a modem's end of its link said the rest. */
final class From1Test extends CoreTestCase
{
    /**
     * @param  list<array{class: string, supply?: string|null}>  $modules
     * @param  array<string, mixed>  $end
     * @return array<string, mixed>
     */
    private static function file(array $modules, array $end = [], string $board = '8bit-5v-70io'): array
    {
        $id = static fn (string $letter, int $number): string => $letter.str_pad((string) $number, 25, '0', STR_PAD_LEFT);
        $rows = [];
        foreach ($modules as $index => $module) {
            $rows[] = ['id' => $id('1', $index), 'nodeId' => $id('2', 0), 'name' => "M{$index}", ...$module];
        }

        return [
            'format' => 1,
            'plan' => ['id' => $id('3', 0), 'name' => 'Old', 'region' => 'eu'],
            'nodes' => [['id' => $id('2', 0), 'name' => 'N', 'kind' => 'controller', 'board' => $board], ['id' => $id('2', 1), 'name' => 'P', 'kind' => 'phone']],
            'modules' => $rows,
            'links' => [['id' => $id('4', 0), 'name' => 'Mobile', 'medium' => 'cellular']],
            'endpoints' => [
                ['id' => $id('5', 0), 'linkId' => $id('4', 0), 'nodeId' => $id('2', 0), 'moduleId' => $id('1', 0), 'role' => 'both', 'settings' => $end],
                ['id' => $id('5', 1), 'linkId' => $id('4', 0), 'nodeId' => $id('2', 1), 'role' => 'both', 'settings' => ['listed' => true, 'supplyV' => 4, 'level' => 'direct']],
            ],
        ];
    }

    /** @param  array<string, mixed>  $file */
    private static function read(array $file): Plan
    {
        return (new PlanReader(self::knowledge()))->fromArray($file);
    }

    private static function feeding(Plan $plan, int $module): ?Supply
    {
        $id = $plan->modules()[$module]->supplyId;

        return $id === null ? null : $plan->supply($id);
    }

    public function test_pins_of_the_board_become_supplies_once_each(): void
    {
        $plan = self::read(self::file([['class' => 'packet-radio-plain', 'supply' => 'board-3v3'], ['class' => 'packet-radio-plain', 'supply' => 'board-3v3'], ['class' => 'relay-bank-1-low', 'supply' => 'board-5v'], ['class' => 'joystick']]));
        self::assertSame(['board-3v3', 'board-3v3', 'board-5v', null], array_map(static fn (int $module): ?string => self::feeding($plan, $module)?->class, range(0, 3)));
        self::assertCount(2, $plan->of(Supply::class));
    }

    public function test_an_adapter_is_a_supply_with_its_own_parent_and_feeds_those_that_said_so(): void
    {
        $plan = self::read(self::file([['class' => 'packet-radio-amplified', 'supply' => 'adapter'], ['class' => 'regulator-adapter', 'supply' => 'board-5v'], ['class' => 'regulator-adapter', 'supply' => 'adapter']]));
        self::assertCount(1, $plan->modules());
        $adapter = self::feeding($plan, 0);
        self::assertSame(['regulator-adapter', 'M1'], [$adapter?->class, $adapter?->name]);
        self::assertSame('board-5v', $plan->supply((string) $adapter?->parentId)->class);
    }

    /** @return iterable<string, array{string, string, string}> module class, supply, rule that must find it */
    public static function wrongFeeds(): iterable
    {
        // E1: all of these were silent.
        yield 'a 3.6 V radio on the 5 V pin' => ['packet-radio-plain', 'board-5v', 'supply-too-high'];
        yield 'a 5 V relay bank on 3.3 V' => ['relay-bank-4-low', 'board-3v3', 'supply-too-low'];
        yield 'an adapter fed from 3.3 V' => ['regulator-adapter', 'board-3v3', 'regulator-drops-out'];
        yield 'an adapter fed from itself' => ['regulator-adapter', 'adapter', 'supply-in-circle'];
        yield 'a modem on 5 V' => ['modem-2g', 'board-5v', 'supply-too-high'];
        yield 'fed by an adapter that is not there' => ['packet-radio-plain', 'adapter', 'supply-missing'];
    }

    #[DataProvider('wrongFeeds')]
    public function test_what_an_old_file_feeds_wrongly_is_found(string $class, string $supply, string $rule): void
    {
        self::assertNotSame([], self::found(self::read(self::file([['class' => $class, 'supply' => $supply]])), $rule));
    }

    /** @return iterable<string, array{float, list<string>}> volts of a modem's end, rules that find it */
    public static function modemVolts(): iterable
    {
        yield 'four' => [4.0, []];
        yield 'five' => [5.0, ['supply-too-high']];
        yield 'six' => [6.0, ['supply-too-high']];
        yield '4.6' => [4.6, ['supply-too-high']];
        yield 'three' => [3.0, ['supply-too-low']];
    }

    /** @param  list<string>  $rules */
    #[DataProvider('modemVolts')]
    public function test_what_feeds_a_modem_is_what_its_end_said(float $volts, array $rules): void
    {
        $plan = self::read(self::file([['class' => 'modem-2g', 'supply' => 'own']], ['supplyV' => $volts, 'sourceOhm' => 0.3, 'capacitorUf' => 4700, 'esrOhm' => 0.1, 'level' => 'divider-1k-2k']));
        $supply = self::feeding($plan, 0);
        self::assertSame([$volts, 0.3], [$supply?->volts, $supply?->sourceOhm]);
        self::assertEqualsCanonicalizing(
            [['VBAT', 'capacitor', null, null, 4700.0, 0.1], ['RXD', 'divider', 1000.0, 2000.0, null, 0.05]],
            array_map(static fn (Part $part): array => [$part->terminal, $part->kind->value, $part->ohms, $part->lowerOhms, $part->microfarads, $part->esrOhm], $plan->partsOf($plan->modules()[0])),
        );
        $found = array_filter(['supply-too-high', 'supply-too-low'], static fn (string $rule): bool => self::found($plan, $rule) !== []);
        self::assertSame($rules, array_values($found));
    }

    public function test_what_an_end_left_at_its_default_is_what_it_meant(): void
    {
        $plan = self::read(self::file([['class' => 'modem-2g', 'supply' => 'own']]));
        self::assertSame(4.0, self::feeding($plan, 0)?->volts);
        self::assertCount(2, $plan->partsOf($plan->modules()[0]));
    }

    public function test_the_carrier_of_an_lte_modem_shifts_whatever_its_end_said(): void
    {
        $plan = self::read(self::file([['class' => 'modem-lte-eu', 'supply' => 'own']], ['level' => 'divider-1k-1k2']));
        self::assertSame(['capacitor'], array_map(static fn (Part $part): string => $part->kind->value, $plan->partsOf($plan->modules()[0])));
    }

    public function test_a_supply_of_its_own_of_which_nothing_was_said_is_of_unknown_voltage(): void
    {
        $plan = self::read(self::file([['class' => 'joystick'], ['class' => 'relay-bank-4-low', 'supply' => 'own']]));
        self::assertNull(self::feeding($plan, 1)?->volts);
        self::assertCount(1, self::found($plan, 'supply-unknown'));
    }

    public function test_what_no_format_1_says_is_refused_at_its_place(): void
    {
        $this->expectException(PlanRefused::class);
        $this->expectExceptionMessage('/modules/0/supply');
        self::read(self::file([['class' => 'joystick', 'supply' => 'sun']]));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function foreign(): iterable
    {
        $file = self::file([['class' => 'joystick', 'supply' => 'own']]);
        yield 'supplies, which format 1 had not' => [[...$file, 'supplies' => []], '/supplies'];
        yield 'parts, which format 1 had not' => [[...$file, 'parts' => [['id' => 'x']]], '/parts'];
        yield 'a module that is on such a supply' => [self::file([['class' => 'joystick', 'supplyId' => '30000000000000000000000000']]), '/modules/0/supplyId'];
        yield 'modules that are no list' => [[...$file, 'modules' => ['first' => $file['modules'][0] ?? []]], '/modules'];
        yield 'pins that are no list' => [[...self::file([['class' => 'regulator-adapter']]), 'pinUses' => ['first' => []]], '/pinUses'];
    }

    /** @param  array<string, mixed>  $file */
    #[DataProvider('foreign')]
    public function test_what_format_1_had_not_is_refused_and_not_lost(array $file, string $at): void
    {
        try {
            self::read($file);
            self::fail('It was read.');
        } catch (PlanRefused $refused) {
            self::assertStringContainsString($at, $refused->getMessage());
        }
    }

    /** @return iterable<string, array{mixed}> */
    public static function nonsense(): iterable
    {
        yield 'lists that are text' => [['format' => 1, 'plan' => [], 'modules' => 'many', 'endpoints' => 7]];
        yield 'things that are numbers' => [['format' => 1, 'plan' => [], 'modules' => [1, null, 'x'], 'links' => [2], 'nodes' => [3], 'endpoints' => [[], 4]]];
        yield 'fields of the wrong kind' => [['format' => 1, 'plan' => [], 'modules' => [['id' => [], 'nodeId' => 4, 'class' => ['regulator-adapter']]], 'links' => [['id' => 1, 'medium' => 'cellular']], 'endpoints' => [['linkId' => 1, 'settings' => 'none'], ['linkId' => [], 'moduleId' => []]]]];
    }

    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused_and_breaks_nothing(mixed $file): void
    {
        $this->expectException(PlanRefused::class);
        (new PlanReader(self::knowledge()))->fromArray($file);
    }
}
