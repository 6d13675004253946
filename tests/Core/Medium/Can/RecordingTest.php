<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Can;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Medium\Can\Log\ReadsRecording;
use Rundfunk\Medium\Can\Log\WritesRecording;
use Rundfunk\Medium\Can\Recording;
use Rundfunk\Medium\Can\RecordingRefused;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

/** Recordings in the two open forms, in and out, against log2asc and asc2log of can-utils. */
final class RecordingTest extends CoreTestCase
{
    private const LOG = "(1345212884.318850) can0 123#01020304\n(1345212884.418850) can0 123#R\n(1345212884.518850) can0 18FEF1FE#FFFF000011223344\n(1345212884.618850) can0 000#\n(1345212885.618850) can0 00000012#01\n";

    private static function converted(string $program, string $text, string ...$more): string
    {
        $process = new Process([$program, '-I', '/dev/stdin', ...$more], null, null, $text);
        $process->mustRun();

        return $process->getOutput();
    }

    public function test_both_forms_say_the_same(): void
    {
        $direct = ReadsRecording::from(self::LOG);
        self::assertSame([0, 200_000, 300_000, 1_300_000], $direct->atUs);
        self::assertSame([0x123, 0x18FEF1FE | Recording::EXTENDED, 0, 0x12 | Recording::EXTENDED], $direct->ids);
        self::assertSame(['01020304', 'ffff000011223344', '', '01'], array_map(bin2hex(...), $direct->data));
        self::assertEquals($direct, ReadsRecording::from(self::converted('log2asc', self::LOG, 'can0')));
    }

    public function test_what_is_written_others_read(): void
    {
        $recording = ReadsRecording::from(self::LOG);
        self::assertEquals($recording, ReadsRecording::from(WritesRecording::candump($recording)));
        self::assertEquals($recording, ReadsRecording::from(WritesRecording::asc($recording)));
        self::assertEquals($recording, ReadsRecording::from(self::converted('log2asc', WritesRecording::candump($recording), 'can0')), 'log2asc reads it.');
        self::assertEquals($recording, ReadsRecording::from(self::converted('asc2log', WritesRecording::asc($recording))), 'asc2log reads it.');
    }

    public function test_marks_are_typed_between_the_lines(): void
    {
        $marked = ReadsRecording::from("# made on a bench\n(1.000000) can0 1#00\n(2.500000) can0 1#01\nnow the lamp\n(3.000000) can0 1#00\n# MARK\n");
        self::assertSame([1_500_000, 2_000_000], $marked->marksUs);
    }

    /** @return iterable<string, array{string}> */
    public static function nonsense(): iterable
    {
        yield 'nothing' => [''];
        yield 'only remarks' => ["# a\n; b\n"];
        yield 'prose' => ["It rained.\n"];
        yield 'nine bytes' => ["(1.0) can0 123#010203040506070809\n"];
        yield 'half a byte' => ["(1.0) can0 123#012\n"];
        yield 'an identifier that is too long' => ["(1.0) can0 FFF#01\n"];
        yield 'fewer bytes than it says' => ["0.1 1 123 Rx d 4 01 02\n"];
        yield 'a frame of the other kind of bus' => ["(1.0) can0 123##101\n"];
        yield 'brackets' => [str_repeat('(', 1_000_000)];
        yield 'too many' => [str_repeat("(1.0) can0 1#\n", Recording::MOST_FRAMES + 1)];
    }

    #[DataProvider('nonsense')]
    public function test_what_is_no_recording_is_refused(string $text): void
    {
        $this->expectException(RecordingRefused::class);
        ReadsRecording::from($text);
    }
}
