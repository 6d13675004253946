<?php

declare(strict_types=1);

namespace Tests\Core\View;

use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** The grid of what a toy can be told. */
final class CodeGridsTest extends CoreTestCase
{
    public function test_a_row_a_function_a_column_a_value_a_code_in_each_cell_that_has_one(): void
    {
        $sketch = self::toy()
            ->keyCode('toy', 'Slow', 'nec', 1, 0x2A, output: 'speed', action: Action::Set, more: ['value' => 1])
            ->keyCode('toy', 'Horn', 'nec', 1, 0x30, output: 'horn', action: Action::On)
            ->keyCode('toy', 'Faster', 'nec', 1, 0x31, output: 'speed', action: Action::Step, more: ['value' => 1])
            ->control('stick', 'box', 'Stick', ControlKind::Axis)
            ->route('stick', Action::Set, 'speed')
            ->control('key', 'box', 'Key')
            ->route('key', Action::Off, 'horn');
        [$grid] = self::grids($sketch->plan());
        self::assertSame(['on', 'off', 'step +1', '-1', '0', '1'], array_column($grid['columns'], 'label'));
        self::assertSame(['Speed', 'Horn'], array_column($grid['rows'], 'name'));
        self::assertSame([null, null, '31', null, null, '2A'], array_column($grid['rows'][0]['cells'], 'says'));
        // A stick may ask for any speed; nobody asks for a step.
        self::assertSame([false, false, false, true, true, true], array_column($grid['rows'][0]['cells'], 'asked'));
        // The horn is put off by a key, and has no code for it.
        self::assertSame(['30', null, null, null, null, null], array_column($grid['rows'][1]['cells'], 'says'));
        self::assertSame([false, true, false, false, false, false], array_column($grid['rows'][1]['cells'], 'wanted'));
    }

    public function test_a_span_too_wide_to_show_shows_what_is_learned_and_asked_for(): void
    {
        $sketch = self::toy(0, 255)
            ->keyCode('toy', 'Full', 'nec', 1, 0x2A, output: 'speed', action: Action::Set, more: ['value' => 255])
            ->control('key', 'box', 'Key')
            ->route('key', Action::Set, 'speed', value: 128);
        self::assertSame(['128', '255'], array_column(self::grids($sketch->plan())[0]['columns'], 'label'));
    }

    public function test_a_thing_that_can_be_told_nothing_yet_has_no_grid(): void
    {
        self::assertSame([], self::grids(self::sketch()->node('toy', 'Toy', NodeKind::Fixture, null, null)->output('horn', 'toy', 'Horn', OutputKind::Function)->plan()));
    }

    public function test_the_diggers_of_the_demo_have_a_code_in_every_cell(): void
    {
        $grids = array_filter(self::shown('code-grid', self::linden()), static fn (?array $grid, string $nodeId): bool => $grid !== null && self::linden()->node($nodeId)->name === 'Toy diggers', ARRAY_FILTER_USE_BOTH);
        self::assertCount(1, $grids);
        foreach ($grids as $grid) {
            foreach ($grid['rows'] as $row) {
                self::assertNotNull($row['channel']);
                self::assertNotContains(null, array_column($row['cells'], 'codeId'));
            }
        }
    }

    private static function toy(int $lowest = -1, int $highest = 1): Sketch
    {
        return self::sketch()
            ->node('box', 'Box', NodeKind::Handset, null, '8bit-5v-20io')
            ->node('toy', 'Toy', NodeKind::Fixture, null, null)
            ->link('room', 'Room', 'infrared')
            ->join('room', 'toy', Role::Receives)
            ->output('speed', 'toy', 'Speed', OutputKind::Function, more: ['settings' => ['lowest' => $lowest, 'highest' => $highest]])
            ->output('horn', 'toy', 'Horn', OutputKind::Function);
    }

    /** @return list<array{columns: list<array{label: string}>, rows: list<array{name: string, channel: string|null, cells: list<array{codeId: string|null, says: string|null, wanted: bool, asked: bool}>}>}> */
    private static function grids(Plan $plan): array
    {
        return array_values(array_filter(self::shown('code-grid', $plan)));
    }
}
