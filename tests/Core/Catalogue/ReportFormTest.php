<?php

declare(strict_types=1);

namespace Tests\Core\Catalogue;

use Rundfunk\Build\CHeader;
use Rundfunk\Build\CReportForm;
use Rundfunk\Catalogue\OwnClass;
use Rundfunk\Catalogue\ReportForm;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Edit\Editor;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\OwnModule;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\Shape\Values;
use Rundfunk\Shipped;
use Rundfunk\View\ReportTrialView;
use Rundfunk\View\Shown\ReportChannel;
use Rundfunk\View\Shown\ReportTrial;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

/** What a pad says. Trade book §14: head 0xFF, mode 0x73 for sticks, 0x5A; two bytes of keys, active low; right x, right y, left x, left y. Sheet, from memory. */
final class ReportFormTest extends CoreTestCase
{
    private const PAD = '01ARZ3NDEKTSV4RRFFQ69G5FA1';

    private static function form(): ReportForm
    {
        return self::knowledge()->catalogue->modules['pad-wireless']->report ?? self::fail('it has no report');
    }

    public function test_keys_are_active_low_and_sticks_are_as_they_come(): void
    {
        $read = self::form()->read(hex2bin('ff735a7fdf00804010') ?: '') ?? self::fail('lost');
        self::assertSame(['Left', 'Face right'], array_keys(array_filter(array_slice($read, 0, 16))));
        self::assertSame(['Right X' => 0x00, 'Right Y' => 0x80, 'Left X' => 0x40, 'Left Y' => 0x10], array_slice($read, 16));
    }

    public function test_nothing_attached_is_a_lost_link_and_not_sticks_hard_over(): void
    {
        self::assertNull(self::form()->read(str_repeat("\xFF", 9)));
        self::assertNull(self::form()->read(hex2bin('ff415affff80808080') ?: ''), 'the mode without sticks');
        self::assertNull(self::form()->read(hex2bin('ff7300ffff80808080') ?: ''), 'the third byte');
        self::assertNull(self::form()->read(hex2bin('ff735affff808080') ?: ''), 'a byte short');
        self::assertNotNull(self::form()->read(hex2bin('00735affff80808080') ?: ''));
    }

    public function test_what_an_own_class_places_beyond_its_last_byte_is_not_there(): void
    {
        $form = ReportForm::from(new Values(['bytes' => 3, 'ask' => [1, 2, 3, 4], 'pollMs' => 10, 'clockKhz' => 100, 'proofs' => [['byte' => 0, 'is' => [5]], ['byte' => 3, 'is' => [1]]], 'keys' => [['name' => 'A', 'byte' => 1, 'bit' => 0], ['name' => 'B', 'byte' => 9, 'bit' => 0]], 'axes' => [['name' => 'X', 'byte' => 3]]]));
        self::assertSame([[1, 2, 3], ['A'], []], [$form->ask, array_keys($form->keys), $form->axes]);
        self::assertSame(['A' => 1], $form->read("\x05\x01\x00"));
    }

    /** The kind of pad that says its keys only: five bytes, mode 0x41. Trade book §14, sheet, from memory. */
    public function test_a_report_of_ones_own_is_read_by_hand_as_the_header_reads_it(): void
    {
        $report = ['bytes' => 5, 'ask' => [1, 66], 'pollMs' => 12, 'clockKhz' => 250, 'leastFirst' => true, 'keysLow' => true, 'proofs' => [['byte' => 1, 'is' => [65]], ['byte' => 2, 'is' => [90]]], 'keys' => [['name' => 'Go', 'byte' => 3, 'bit' => 4], ['name' => 'Stop', 'byte' => 4, 'bit' => 6]], 'axes' => []];
        $plan = self::withPad($report);
        $read = static fn (string $came): ReportTrial => (new ReportTrialView)->of(http_build_query(['module' => self::PAD, 'came' => $came]), $plan, Shipped::knowledge()->of($plan)) ?? self::fail('it has no report');
        $said = static fn (string $came): array => array_map(static fn (ReportChannel $one): string => "{$one->name} {$one->says}", $read($came)->channels);
        self::assertSame(['Go pressed', 'Stop let go'], $said('FF 41 5A EF FF'));
        self::assertSame(['Go let go', 'Stop pressed'], $said('0xff,0x41,0x5a,0xff,0xbf'));
        self::assertSame('Byte 1 is FF and must be 41: as if nothing were attached.', $read('FF FF FF FF FF')->lost);
        self::assertSame('It has 4 bytes, and a report 5.', $read('FF 41 5A EF')->lost);
        self::assertSame('It is no row of hexadecimal bytes.', $read('FF 4')->lost);
        self::assertNull($read('')->lost);
        self::assertStringContainsString('pad->stop = (uint8_t)((bytes[4] >> 6 & 1) ^ 1);', (new CHeader(self::knowledge()))->write($plan, $plan->nodes()[0]));
    }

    public function test_two_keys_of_a_report_have_no_one_name(): void
    {
        $this->expectException(PlanRefused::class);
        $this->expectExceptionMessage('used twice: "A"');
        self::withPad(['bytes' => 3, 'ask' => [], 'pollMs' => 10, 'clockKhz' => 100, 'proofs' => [['byte' => 0, 'is' => [5]]], 'keys' => [['name' => 'A', 'byte' => 1, 'bit' => 0]], 'axes' => [['name' => 'A', 'byte' => 2]]]);
    }

    /** @param  array<string, mixed>  $report */
    private static function withPad(array $report): Plan
    {
        $plan = self::sketch()->place('room', 'Room')->node('driver', 'Driver', NodeKind::Handset, 'room', '8bit-5v-20io')->plan();
        $description = [...OwnClass::description('pad-wireless', self::knowledge()->catalogue), 'report' => $report];

        return (new Editor(self::knowledge()))->apply($plan, [
            Operation::add(new OwnModule(self::PAD, 'My pad', 'pad-wireless', $description)),
            Operation::add(new Module('01ARZ3NDEKTSV4RRFFQ69G5FA2', $plan->nodes()[0]->id, 'own:'.self::PAD, 'Pad')),
        ])->plan;
    }

    public function test_a_key_may_be_called_by_a_figure_and_a_report_that_nothing_proves_never_counts(): void
    {
        $form = ReportForm::from(new Values(['bytes' => 2, 'ask' => [], 'pollMs' => 10, 'clockKhz' => 100, 'proofs' => [['byte' => 7, 'is' => [5]]], 'keys' => [['name' => '1', 'byte' => 1, 'bit' => 0]], 'axes' => [['name' => '2', 'byte' => 1]]]));
        self::assertSame(['1', '2'], array_map(static fn (Terminal $terminal): string => $terminal->name, array_values($form->channels())));
        self::assertStringContainsString('return 0;', implode("\n", (new CReportForm($form, 'PAD', 'Pad'))->lines()));
        self::assertStringNotContainsString('return 1;', implode("\n", (new CReportForm($form, 'PAD', 'Pad'))->lines()));
        self::assertNull($form->read("\xFF\xFF"));
    }

    /** Random reports, half of them with what proves one: the header reads them as the core does. */
    public function test_the_header_reads_as_the_core_does(): void
    {
        $folder = sys_get_temp_dir().'/rundfunk-report-'.bin2hex(random_bytes(6));
        mkdir($folder);
        $plan = self::sketch()->node('n', 'Node', NodeKind::Controller, null, '32bit-3v3-26io')->module('p', 'n', 'pad-wireless', 'Pad')->plan();
        file_put_contents("{$folder}/node.h", (new CHeader(self::knowledge()))->write($plan, $plan->nodes()[0]));
        mt_srand(11);
        $reports = $expected = '';
        for ($round = 0; $round < 300; $round++) {
            $bytes = array_map(static fn (): int => mt_rand(0, 255), range(1, 9));
            if ($round % 2 === 0) {
                [$bytes[1], $bytes[2]] = [0x73, 0x5A];
            }
            $reports .= '{ '.implode(', ', $bytes)." },\n";
            $read = self::form()->read(implode('', array_map(chr(...), $bytes)));
            $expected .= ($read === null ? '0 '.str_repeat('0 ', 16).str_repeat('128 ', 4) : '1 '.implode(' ', $read).' ')."\n";
        }
        file_put_contents("{$folder}/main.c", "#include <stdio.h>\n#include \"node.h\"\nstatic const uint8_t reports[][9] = {\n{$reports}};\nint main(void)\n{\n    for (int n = 0; n < 300; n++) {\n        struct pad_report pad;\n        const uint8_t *field = (const uint8_t *)&pad;\n        printf(\"%d \", pad_report_read(&pad, reports[n]));\n        for (unsigned at = 0; at < sizeof pad; at++) printf(\"%d \", field[at]);\n        puts(\"\");\n    }\n    return 0;\n}\n");
        foreach ([['gcc', '-std=c99', '-pedantic', '-Wall', '-Wextra', '-Werror', '-fsanitize=undefined', '-o', 'main', 'main.c'], ['avr-gcc', '-mmcu=avr5', '-std=c99', '-Wall', '-Wextra', '-Werror', '-fsyntax-only', '-include', 'node.h', '-x', 'c', '/dev/null']] as $command) {
            $process = new Process($command, $folder);
            self::assertSame(0, $process->run(), $process->getErrorOutput());
        }
        $process = new Process(['./main'], $folder);
        $process->run();
        self::assertSame($expected, $process->getOutput());
        array_map(unlink(...), glob("{$folder}/*") ?: []);
        rmdir($folder);
    }
}
