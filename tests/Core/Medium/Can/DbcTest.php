<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Can;

use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Medium\Can\CanSignal;
use Rundfunk\Medium\Can\Dbc\DescribedMessage;
use Rundfunk\Medium\Can\Dbc\ReadsDbc;
use Rundfunk\Medium\Can\Dbc\WritesDbc;
use Rundfunk\Medium\Can\RecordingRefused;
use Rundfunk\Plan\BusMessage;
use Rundfunk\Plan\BusSignal;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

/** Descriptions of a bus, in and out, against canmatrix, which reads and writes them too and packs signals by itself. */
final class DbcTest extends CoreTestCase
{
    /** @return list<DescribedMessage> messages with signals that do not overlap, of either order */
    private static function random(Randomizer $chance): array
    {
        $messages = [];
        foreach (range(1, 12) as $number) {
            $extended = $number % 3 === 0;
            $signals = [];
            $taken = [];
            foreach (range(1, 6) as $index) {
                $signal = new BusSignal("S{$number}_{$index}", $chance->getInt(0, 63), $chance->getInt(1, 20), $chance->getInt(0, 1) === 1, $chance->getInt(0, 1) === 1, [1.0, 0.5, 0.01, 2.0, -0.125][$chance->getInt(0, 4)], [0.0, -40.0, 12.5][$chance->getInt(0, 2)], 'V', $index === 1 ? '0=off, 1=on' : '');
                $bits = new CanSignal($signal);
                if ($bits->fits(8) && array_intersect($taken, $bits->places()) === []) {
                    $taken = [...$taken, ...$bits->places()];
                    $signals[] = $signal;
                }
            }
            $messages[] = new DescribedMessage($number % 2 === 0 ? 'Battery' : 'Charger', new BusMessage('', '', "Message_{$number}", $extended ? 0x1800_0000 + $number : 0x100 + $number, $extended, 8, 100 * $number, $signals));
        }

        return $messages;
    }

    private static function python(string $script, string $input): string
    {
        $process = new Process(['/usr/bin/python3', '-c', "import logging,sys\nlogging.disable(logging.CRITICAL)\nimport canmatrix.formats, io, json\n{$script}"], null, null, $input);
        $process->mustRun();

        return $process->getOutput();
    }

    private const LOAD = "data=json.load(sys.stdin)\nm=canmatrix.formats.loads(data['dbc'].encode(),'dbc')['']\n";

    public function test_canmatrix_packs_signals_as_we_read_and_put_them(): void
    {
        $chance = new Randomizer(new Mt19937(5));
        $messages = self::random($chance);
        $wanted = $expected = [];
        foreach ($messages as $one) {
            foreach (range(1, 10) as $time) {
                $data = str_repeat("\0", 8);
                $raws = [];
                foreach ($one->message->signals as $signal) {
                    $least = $signal->signed ? -(1 << ($signal->bits - 1)) : 0;
                    $raws[$signal->name] = $chance->getInt($least, $least + (1 << $signal->bits) - 1);
                    $data = (new CanSignal($signal))->put($data, $raws[$signal->name]);
                }
                $wanted[] = [$one->message->name, $raws];
                $expected[] = bin2hex($data);
                foreach ($one->message->signals as $signal) {
                    self::assertSame($raws[$signal->name], (new CanSignal($signal))->raw($data));
                }
            }
        }
        $packed = self::python(self::LOAD."print(json.dumps([bytes(m.frame_by_name(n).encode(v)).hex() for n,v in data['wanted']]))", json_encode(['dbc' => WritesDbc::text($messages), 'wanted' => $wanted], JSON_THROW_ON_ERROR));
        self::assertSame($expected, json_decode($packed, true, 8, JSON_THROW_ON_ERROR));
    }

    public function test_what_canmatrix_makes_of_ours_we_read_as_what_it_was(): void
    {
        $messages = self::random(new Randomizer(new Mt19937(6)));
        $theirs = self::python(self::LOAD."f=io.BytesIO()\ncanmatrix.formats.dump(m,f,'dbc')\nsys.stdout.buffer.write(f.getvalue())", json_encode(['dbc' => WritesDbc::text($messages)], JSON_THROW_ON_ERROR));
        foreach ([WritesDbc::text($messages), $theirs] as $text) {
            $read = ReadsDbc::from($text);
            self::assertSame([], $read->leftOut);
            self::assertEqualsCanonicalizing(array_map(self::told(...), $messages), array_map(self::told(...), $read->messages));
        }
    }

    /** @return array<string, mixed> */
    private static function told(DescribedMessage $one): array
    {
        $values = $one->message->values();
        $values['signals'] = array_column(array_map(static fn (BusSignal $signal): array => $signal->values(), $one->message->signals), null, 'name');
        ksort($values['signals']);

        return ['sender' => $one->sender, ...$values];
    }

    /** @return iterable<string, array{string, string}> */
    public static function hostile(): iterable
    {
        yield 'nothing' => ['', 'no message'];
        yield 'prose' => ['Dear bus,', 'no message'];
        yield 'a message of nothing' => ['BO_ x y', 'Line 1'];
        yield 'an identifier that is none' => ['BO_ 4294967295 A: 8 B', 'no identifier'];
        yield 'a long identifier as a short one' => ['BO_ 2048 A: 8 B', 'no identifier'];
        yield 'one identifier twice' => ["BO_ 1 A: 8 B\nBO_ 1 C: 8 B", 'Line 2'];
        yield 'half a signal' => ["BO_ 1 A: 8 B\n SG_ X : 0|", 'Line 2'];
        yield 'a scale that is no number' => ["BO_ 1 A: 8 B\n SG_ X : 0|8@1+ (1e1e1,0) [0|0] \"\" V", 'Line 2'];
        yield 'a text that does not end' => ["BO_ 1 A: 8 B\nCM_ \"for ever", 'does not end'];
        yield 'ten million brackets' => [str_repeat('(', 10_000_000), 'longer than'];
        yield 'a text of a million lines' => ["BO_ 1 A: 8 B\nCM_ \"".str_repeat("a\n", 500_000).'"', 'does not end'];
    }

    #[DataProvider('hostile')]
    public function test_what_is_no_description_is_refused_in_words(string $text, string $words): void
    {
        $this->expectException(RecordingRefused::class);
        $this->expectExceptionMessage($words);
        ReadsDbc::from($text);
    }

    public function test_what_is_left_out_is_said(): void
    {
        $read = ReadsDbc::from(<<<'DBC'
            VERSION ""
            BU_: Box
            BO_ 2566844926 Motor: 8 Box
             SG_ Kind M : 0|8@1+ (1,0) [0|0] "" Nobody__XXX
             SG_ Speed m1 : 8|16@1+ (1,0) [0|0] "" Nobody__XXX
             SG_ Warmth : 24|32@1- (1,0) [0|0] "" Nobody__XXX
             SG_ Power : 7|16@0- (0.1,-5) [0|0] "kW" Nobody__XXX
            CM_ BO_ 2566844926 "two
            BO_ 7 Lies: 8 Box
            lines";
            SIG_VALTYPE_ 2566844926 Warmth : 1;
            VAL_ 2566844926 Kind 0 "off, really" 1 "on" ;
            BA_DEF_DEF_ "GenMsgCycleTime" 50;
            BO_ 9 Long: 64 Box
             SG_ Far : 100|8@1+ (1,0) [0|0] "" Nobody__XXX
            DBC);
        self::assertSame(['Speed of Motor is there only under some figure of another.', 'Warmth of Motor is a floating-point number.', 'Long has 64 bytes: that is no frame of a classic bus.'], $read->leftOut);
        self::assertCount(1, $read->messages);
        $motor = $read->messages[0]->message;
        self::assertSame([0x18FEF1FE, true, 50, ['Kind', 'Power']], [$motor->identifier, $motor->extended, $motor->periodMs, array_column($motor->signals, 'name')]);
        self::assertSame([0 => 'off; really', 1 => 'on'], (new CanSignal($motor->signals[0]))->valueNames());
        self::assertSame([true, true, 0.1, -5.0, 'kW'], [$motor->signals[1]->highFirst, $motor->signals[1]->signed, $motor->signals[1]->scale, $motor->signals[1]->offset, $motor->signals[1]->unit]);
        // High byte first: its highest bit is bit 7 of byte 0, its lowest bit 0 of byte 1.
        $power = new CanSignal($motor->signals[1]);
        self::assertSame([7, 8], [$power->places()[0], $power->places()[15]]);
        self::assertSame(95_000, $power->thousandths("\x03\xE8\0\0\0\0\0\0"));
    }
}
