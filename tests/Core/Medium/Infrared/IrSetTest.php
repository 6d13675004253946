<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Infrared;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Demo\Sketch;
use Rundfunk\Edit\Editor;
use Rundfunk\Learn\CodeSet;
use Rundfunk\Learn\LaysOutSets;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Medium\Infrared\Protocols;
use Rundfunk\Medium\Infrared\Twins;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\Shape\Problems;
use Rundfunk\Shape\Values;
use Tests\Core\CoreTestCase;

/** Sets of toys: laid out, filled in, told apart. */
final class IrSetTest extends CoreTestCase
{
    public function test_the_address_counts_with_the_channel_and_the_command_with_function_and_value(): void
    {
        $set = self::layOut(['functions' => 'Drive, Turn', 'channels' => 2, 'lowest' => -3, 'highest' => 3, 'address' => 0x31, 'command' => 0x10]);
        self::assertCount(2 * 2 * 7, $set->cells);
        $plan = self::applied($set);
        $codes = self::byName($plan);
        self::assertSame([0x31, 0x10], [$codes['Drive 1 -3']->address, $codes['Drive 1 -3']->command]);
        self::assertSame([0x31, 0x16], [$codes['Drive 1 3']->address, $codes['Drive 1 3']->command]);
        // Seven values take a block of eight.
        self::assertSame([0x32, 0x18], [$codes['Turn 2 -3']->address, $codes['Turn 2 -3']->command]);
        $channels = array_map(static fn (Output $output): ?string => $output->channel, $plan->outputs());
        self::assertSame(['1', '1', '2', '2'], $channels);
    }

    /** @return iterable<string, array{array<string, int|string|null>}> */
    public static function sets(): iterable
    {
        yield 'one toy' => [['functions' => 'Drive', 'lowest' => -7, 'highest' => 7]];
        yield 'eight channels of three' => [['functions' => 'Red, Blue, Horn', 'channels' => 8, 'lowest' => 0, 'highest' => 15]];
        yield 'counting down' => [['functions' => 'Drive, Turn', 'lowest' => -3, 'highest' => 3, 'command' => 90, 'perValue' => -2, 'perFunction' => -20]];
        yield 'seven bits' => [['functions' => 'A, B', 'protocol' => 'sirc12', 'lowest' => 0, 'highest' => 63]];
        yield 'with a toggle bit' => [['functions' => 'A', 'protocol' => 'rc5', 'channels' => 16, 'lowest' => 0, 'highest' => 3]];
    }

    /** @param  array<string, int|string|null>  $values */
    #[DataProvider('sets')]
    public function test_every_code_of_a_set_is_heard_as_itself_and_the_checker_has_nothing_to_say(array $values): void
    {
        $set = self::layOut($values);
        $plan = self::applied($set);
        self::assertSame([], array_filter(array_column($set->cells, 'remark')));
        self::assertCount(count($set->cells), $plan->keyCodes());
        $protocols = Protocols::standard();
        $heard = [];
        foreach ($plan->keyCodes() as $code) {
            $signal = IrCodes::signal($code, $protocols);
            self::assertNotNull($signal);
            $command = $protocols->decode($signal);
            self::assertNotNull($command);
            self::assertSame([$code->protocol, $code->address, $code->command], [$command->protocol, $command->address, $command->command]);
            $heard["{$command->address} {$command->command}"] = $code->name;
        }
        self::assertCount(count($set->cells), $heard);
        foreach (['ir-functions-alike', 'ir-set-incomplete', 'ir-heard-by-two', 'value-outside', 'value-span-unknown'] as $rule) {
            self::assertSame([], self::found($plan, $rule));
        }
    }

    /** @return iterable<string, array{array<string, int|string|null>, string, int}> values, remark, how many of it */
    public static function misfits(): iterable
    {
        yield 'commands beyond seven bits' => [['functions' => 'A', 'protocol' => 'sirc12', 'lowest' => 0, 'highest' => 9, 'command' => 120], 'beyond SIRC, 12 bits: its addresses go to 31, its commands to 127', 2];
        yield 'addresses beyond five bits' => [['functions' => 'A', 'protocol' => 'rc5', 'channels' => 4, 'address' => 30, 'lowest' => 0, 'highest' => 1], 'beyond RC-5: its addresses go to 31, its commands to 127', 4];
        yield 'below nought' => [['functions' => 'A', 'lowest' => 0, 'highest' => 3, 'command' => 1, 'perValue' => -1], 'beyond NEC: its addresses go to 255, its commands to 255', 2];
        yield 'functions that overlap' => [['functions' => 'A, B', 'lowest' => 0, 'highest' => 3, 'perFunction' => 3], 'the same code as A 3', 1];
        yield 'channels on one address' => [['functions' => 'A', 'channels' => 2, 'lowest' => 0, 'highest' => 1, 'perChannel' => 0], 'the same code as A 1 0', 1];
    }

    /** @param  array<string, int|string|null>  $values */
    #[DataProvider('misfits')]
    public function test_a_code_that_cannot_be_is_left_out_and_said_so(array $values, string $remark, int $count): void
    {
        $set = self::layOut($values);
        self::assertCount($count, array_filter($set->cells, static fn (array $cell): bool => $cell['remark'] === $remark));
        $kept = count(array_filter($set->cells, static fn (array $cell): bool => $cell['remark'] === null));
        self::assertCount($kept, self::applied($set)->keyCodes());
        self::assertSame($kept, $set->jsonSerialize()['added']);
    }

    public function test_laid_out_again_it_adds_only_what_is_new(): void
    {
        $values = ['functions' => 'Drive', 'lowest' => -1, 'highest' => 1];
        $plan = self::applied(self::layOut($values));
        $again = self::layOut(['functions' => 'drive, Turn'] + $values, $plan);
        self::assertSame(['there already, as Drive -1', 'there already, as Drive 0', 'there already, as Drive 1', null, null, null], array_column($again->cells, 'remark'));
        self::assertCount(6, self::applied($again, $plan)->keyCodes());
        self::assertCount(2, self::applied($again, $plan)->outputs());
    }

    public function test_a_cell_whose_code_was_moved_away_can_be_laid_out_again(): void
    {
        $values = ['functions' => 'Drive', 'lowest' => -1, 'highest' => 1];
        $plan = self::applied(self::layOut($values));
        $code = self::byName($plan)['Drive -1'];
        $moved = (new Editor(self::knowledge()))->apply($plan, [Operation::change(ThingKind::KeyCode, $code->id, ['command' => 0x40, 'outputId' => null, 'action' => null, 'value' => null])])->plan;
        $again = self::layOut($values, $moved);
        self::assertSame(1, $again->jsonSerialize()['added']);
        self::assertCount(4, self::applied($again, $moved)->keyCodes());
    }

    /** @return iterable<string, array{array<string, int|string>, string}> */
    public static function refusals(): iterable
    {
        yield 'nothing it can do' => [['functions' => ' , '], '/values/functions must name what it can do.'];
        yield 'upside down' => [['lowest' => 2, 'highest' => 2], '/values/highest must be above the lowest.'];
        yield 'too large' => [['channels' => 16, 'lowest' => 0, 'highest' => 99], '/values/highest makes a set of 3200 codes; at most 2000 can be laid out at once.'];
    }

    /** @param  array<string, int|string>  $values */
    #[DataProvider('refusals')]
    public function test_what_is_no_set_is_refused(array $values, string $message): void
    {
        $this->expectException(PlanRefused::class);
        $this->expectExceptionMessage($message);
        self::layOut($values);
    }

    public function test_missing_codes_are_worked_out_when_the_others_count_up_evenly(): void
    {
        $plan = self::learned([-3 => 0x0D, -1 => 0x0F, 0 => 0x10, 3 => 0x13]);
        $finding = self::found($plan, 'ir-set-incomplete')[0];
        self::assertNotNull($finding->fix);
        self::assertSame('Work out 3 codes', $finding->fix->label);
        $mended = (new Editor(self::knowledge()))->apply($plan, $finding->fix->operations)->plan;
        self::assertSame([], self::found($mended, 'ir-set-incomplete'));
        self::assertSame([0x0E, 0x11, 0x12], array_map(static fn (string $name): ?int => self::byName($mended)[$name]->command, ['Speed -2', 'Speed 1', 'Speed 2']));
    }

    /** @return iterable<string, array{array<int, int>}> */
    public static function unruly(): iterable
    {
        yield 'two codes lie on any line' => [[0 => 0x10, 3 => 0x13]];
        yield 'a check sum in the command' => [[-3 => 0xD3, -1 => 0xF1, 0 => 0x00, 3 => 0x33]];
        yield 'one that is off the line' => [[-3 => 0x0D, -1 => 0x0F, 0 => 0x11, 3 => 0x13]];
        yield 'all alike' => [[-3 => 5, 0 => 5, 3 => 5]];
        yield 'below nought' => [[1 => 0, 2 => 1, 3 => 2]];
    }

    /** @param  array<int, int>  $commands */
    #[DataProvider('unruly')]
    public function test_nothing_is_worked_out_where_no_rule_is_seen(array $commands): void
    {
        self::assertNull(self::found(self::learned($commands), 'ir-set-incomplete')[0]->fix);
    }

    public function test_a_missing_code_is_not_worked_out_onto_one_that_does_something_else(): void
    {
        $plan = self::learned([-3 => 0x0D, -1 => 0x0F, 0 => 0x10, 3 => 0x13], static fn (Sketch $sketch): Sketch => $sketch->output('horn', 'toy', 'Horn', OutputKind::Function)->keyCode('toy', 'Horn', 'nec', 1, 0x11, output: 'horn', action: Action::On));
        self::assertNull(self::found($plan, 'ir-set-incomplete')[0]->fix);
    }

    public function test_twins_are_found_as_by_comparing_each_with_each(): void
    {
        mt_srand(7);
        $protocols = Protocols::standard();
        $codes = [];
        foreach (range(1, 60) as $number) {
            $command = mt_rand(0, 9);
            $raw = mt_rand(0, 3) === 0;
            $codes[] = $raw
                ? new KeyCode("c{$number}", 'n', "Code {$number}", 'raw', timings: $protocols->named('nec')->encode(new \Rundfunk\Medium\Infrared\IrCommand('nec', 1, $command))->text())
                : new KeyCode("c{$number}", 'n', "Code {$number}", mt_rand(0, 1) === 0 ? 'nec' : 'rc5', 1, $command);
        }
        $found = [];
        foreach (Twins::among($codes, $protocols) as [$one, $other]) {
            self::assertTrue(IrCodes::same($one, $other, $protocols));
            $found[$other->id] = true;
        }
        foreach ($codes as $index => $code) {
            $alike = array_filter(array_slice($codes, 0, $index), static fn (KeyCode $one): bool => IrCodes::same($one, $code, $protocols));
            self::assertSame($alike !== [], isset($found[$code->id]), $code->name);
        }
    }

    /** @param  array<string, int|string|null>  $values */
    private static function layOut(array $values, ?Plan $plan = null): CodeSet
    {
        $infrared = self::knowledge()->media->offering(LaysOutSets::class, 'infrared');
        self::assertNotNull($infrared);
        $problems = new Problems;
        $accepted = $infrared->setShape()->accept($values, '/values', $problems);
        $problems->settle();
        $plan ??= self::toy()->plan();

        return $infrared->layOut($plan, $plan->nodes()[0], new Values($accepted));
    }

    private static function applied(CodeSet $set, ?Plan $plan = null): Plan
    {
        return (new Editor(self::knowledge()))->apply($plan ?? self::toy()->plan(), $set->operations)->plan;
    }

    private static function toy(): Sketch
    {
        return self::sketch()->node('toy', 'Toy', NodeKind::Fixture, null, null)->link('room', 'Room', 'infrared')->join('room', 'toy', Role::Receives);
    }

    /**
     * @param  array<int, int>  $commands  by value
     * @param  Closure(Sketch): Sketch|null  $more
     */
    private static function learned(array $commands, ?Closure $more = null): Plan
    {
        $sketch = self::toy()->output('speed', 'toy', 'Speed', OutputKind::Function, more: ['settings' => ['lowest' => -3, 'highest' => 3]]);
        foreach ($commands as $value => $command) {
            $sketch->keyCode('toy', "Learned {$value}", 'nec', 1, $command, output: 'speed', action: Action::Set, more: ['value' => $value]);
        }

        return ($more === null ? $sketch : $more($sketch))->plan();
    }

    /** @return array<string, KeyCode> */
    private static function byName(Plan $plan): array
    {
        return array_column(array_map(static fn (KeyCode $code): array => [$code->name, $code], $plan->keyCodes()), 1, 0);
    }
}
