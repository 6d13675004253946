<?php

declare(strict_types=1);

namespace Tests\Core\Build;

use Rundfunk\Build\CHeader;
use Rundfunk\Build\WiringRow;
use Rundfunk\Build\WiringTable;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

final class WiringTableTest extends CoreTestCase
{
    public function test_every_wire_of_a_node_is_listed_with_its_supply(): void
    {
        $plan = self::linden();
        $bench = $plan->nodes()[2];
        $rows = WiringTable::of($plan, $bench, self::knowledge())->rows;
        $byTerminal = [];
        foreach ($rows as $row) {
            $byTerminal["{$row->module} {$row->terminal}"] ??= $row;
        }
        self::assertSame('3V3', $byTerminal['Radio VCC']->pin);
        self::assertSame('D13', $byTerminal['Radio SCK']->pin);
        self::assertSame('leave open', $byTerminal['Radio IRQ']->pin);
        self::assertSame('Coil supply +', $byTerminal['Relays VCC']->pin);
        self::assertSame('low = on', $byTerminal['Relays IN1']->level);
        self::assertSame('Mist', $byTerminal['Relays IN1']->carries);
        self::assertArrayNotHasKey('Relays IN4', $byTerminal);
        self::assertSame('5 V', $byTerminal['Relays VCC']->level);
        self::assertSame('Join the grounds of both supplies.', $byTerminal['Relays GND']->note);
        self::assertSame(['USB socket', 'Bench'], [$byTerminal['Plug out +']->pin, $byTerminal['Plug out +']->carries]);
        self::assertSame(['COM1', 'NO1', 'NC1'], array_values(array_intersect(['COM1', 'NO1', 'NC1'], array_column($rows, 'terminal'))));
        self::assertStringContainsString('Mist valve', $byTerminal['Relays NO1']->note);
    }

    public function test_what_a_module_is_fed_with_is_what_its_supply_gives_and_not_what_its_class_stands(): void
    {
        // E9: a radio was printed as fed with 3.6 V, a modem with 4.4, a sensor's data as "low = pressed".
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-70io')
            ->module('x', 'n', 'packet-radio-plain', 'Radio', FedFrom::Adapter)
            ->supply('four', 'n', 'bench', 'Four volts', more: ['volts' => 4.1])->module('m', 'n', 'modem-2g', 'Modem', 'four')
            ->module('t', 'n', 'sensor-climate', 'Climate', FedFrom::Board5V)
            ->part('m', 'RXD', PartKind::Divider, ['ohms' => 1000, 'lowerOhms' => 1200])
            ->wire('m', 'RXD', 'D18')->wire('t', 'DATA', 'D4')
            ->control('warm', 'n', 'Warmth', ControlKind::Reading, 't', 'DATA')->control('wet', 'n', 'Wetness', ControlKind::Reading, 't', 'DATA');
        $plan = $sketch->plan();
        $rows = [];
        foreach (WiringTable::of($plan, $plan->node($sketch->id('n')), self::knowledge())->rows as $row) {
            $rows["{$row->module} {$row->terminal}"][] = [$row->pin, $row->carries, $row->level];
        }
        self::assertSame([['Adapter +', '', '3.3 V']], $rows['Radio VCC']);
        self::assertSame([['Four volts +', '', '4.1 V']], $rows['Modem VBAT']);
        self::assertSame([['D18', '', '2.73 V logic'], ['divider 1 kΩ / 1.2 kΩ', '', '2.73 V']], $rows['Modem RXD']);
        self::assertSame([['D4', 'Warmth, Wetness', '5 V data']], $rows['Climate DATA']);
        // The header names both as well.
        self::assertStringContainsString('Warmth, Wetness', (new CHeader(self::knowledge()))->write($plan, $plan->node($sketch->id('n'))));
    }

    public function test_csv_has_a_line_a_wire_and_no_cell_a_spreadsheet_would_run(): void
    {
        $sketch = self::pair()->output('o', 'board', '=HYPERLINK("x")', OutputKind::Relay, 'board-relays', 'IN1')->wire('board-relays', 'IN1', 'D4');
        $plan = $sketch->plan();
        $csv = WiringTable::of($plan, $plan->node($sketch->id('board')), self::knowledge())->csv();
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

    public function test_the_resistor_of_an_emitter_is_on_its_sheet(): void
    {
        // E13. (5 − 1.35 − 0.2) V / 100 mA = 34.5 → 36 Ω; 0.33 W → 1 W.
        $sketch = self::sketch()->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->module('e', 'n', 'infrared-emitter', 'Eye', FedFrom::Board5V)->link('l', 'Light', 'infrared')->join('l', 'n', Role::Sends, 'e');
        $plan = $sketch->plan();
        $pins = array_map(static fn (WiringRow $row): string => $row->pin, WiringTable::of($plan, $plan->node($sketch->id('n')), self::knowledge())->rows);
        self::assertContains('resistor 36 Ω, 1 W', $pins);
        self::assertContains('resistor 1 kΩ, 0.25 W', $pins);
    }
}
