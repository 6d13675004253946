<?php

declare(strict_types=1);

namespace Tests\Core\Build;

use Rundfunk\Build\WiringTable;
use Rundfunk\Plan\OutputKind;
use Tests\Core\CoreTestCase;

final class WiringTableTest extends CoreTestCase
{
    public function test_every_wire_of_a_node_is_listed_with_its_supply(): void
    {
        $plan = self::linden();
        $bench = $plan->nodes()[2];
        $rows = WiringTable::of($plan, $bench, self::knowledge()->catalogue)->rows;
        $byTerminal = [];
        foreach ($rows as $row) {
            $byTerminal["{$row->module} {$row->terminal}"] = $row;
        }
        self::assertSame('3V3', $byTerminal['Radio VCC']->pin);
        self::assertSame('D13', $byTerminal['Radio SCK']->pin);
        self::assertSame('leave open', $byTerminal['Radio IRQ']->pin);
        self::assertSame('own supply +', $byTerminal['Relays VCC']->pin);
        self::assertSame('low = on', $byTerminal['Relays IN1']->level);
        self::assertSame('Mist', $byTerminal['Relays IN1']->carries);
        self::assertArrayNotHasKey('Relays IN4', $byTerminal);
    }

    public function test_csv_has_a_line_a_wire_and_no_cell_a_spreadsheet_would_run(): void
    {
        $sketch = self::pair()->output('o', 'board', '=HYPERLINK("x")', OutputKind::Relay, 'board-relays', 'IN1')->wire('board-relays', 'IN1', 'D4');
        $plan = $sketch->plan();
        $csv = WiringTable::of($plan, $plan->node($sketch->id('board')), self::knowledge()->catalogue)->csv();
        $file = fopen('php://memory', 'r+');
        self::assertNotFalse($file);
        fwrite($file, $csv);
        rewind($file);
        $cells = [];
        while (($row = fgetcsv($file, escape: '')) !== false) {
            self::assertCount(6, $row);
            $cells = [...$cells, ...$row];
        }
        self::assertContains("'=HYPERLINK(\"x\")", $cells);
        self::assertSame([], preg_grep('/^[=+\-@]/', $cells));
    }
}
