<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Can;

use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Calculator\BadInput;
use Rundfunk\Medium\Can\BitTiming;
use Rundfunk\Medium\Can\CanFrame;
use Rundfunk\Medium\Can\ResponseTimes;
use Rundfunk\Medium\Can\Sent;
use Rundfunk\OutOfRange;
use Rundfunk\Shipped;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

/** The figures of CAN buses against published ones, against programs of others, and against a bus that is played. */
final class CanCalculatorsTest extends CoreTestCase
{
    /**
     * @param  array<string, string>  $given
     * @return array<string, mixed>
     */
    private static function calculate(string $name, array $given): array
    {
        return Shipped::calculators()->calculate($name, $given);
    }

    /** @return iterable<string, array{string, array<string, string>, array<string, mixed>}> */
    public static function published(): iterable
    {
        // ISO 11898-1 by way of Davis, Burns, Bril and Lukkien 2007: g + 8n + 13 + ⌊(g + 8n − 1) / 4⌋.
        foreach ([55, 65, 75, 85, 95, 105, 115, 125, 135] as $bytes => $worst) {
            yield "11 bits, {$bytes} bytes" => ['can-frame-bits', ['id_bits' => '11', 'data_bytes' => (string) $bytes], ['unstuffed_bits' => 47 + 8 * $bytes, 'worst_bits' => $worst]];
        }
        foreach ([80, 90, 100, 110, 120, 130, 140, 150, 160] as $bytes => $worst) {
            yield "29 bits, {$bytes} bytes" => ['can-frame-bits', ['id_bits' => '29', 'data_bytes' => (string) $bytes], ['unstuffed_bits' => 67 + 8 * $bytes, 'worst_bits' => $worst]];
        }
        // Computed by can-utils (canframelen), with the gap between frames.
        foreach ([['123', '01020304', 'false', '5FDB', 79, 84, 95], ['123', '1122334455667788', 'false', '4237', 111, 112, 135], ['000', '0000000000000000', 'false', '145B', 111, 127, 135], ['18FEF1FE', 'FF FF FF FF FF FF FF FF', 'true', '0539', 131, 145, 160]] as [$id, $data, $extended, $crc, $unstuffed, $exact, $worst]) {
            yield "{$id}#{$data}" => ['can-frame', ['id' => $id, 'data' => $data, 'extended' => $extended], ['crc15' => $crc, 'stuffed_bits' => $exact - $unstuffed, 'exact_bits' => $exact, 'unstuffed_bits' => $unstuffed, 'worst_bits' => $worst]];
        }
        yield '123#R' => ['can-frame', ['id' => '0x123', 'data' => '', 'extended' => 'no', 'remote' => 'yes'], ['crc15' => '1B9D', 'exact_bits' => 48, 'unstuffed_bits' => 47, 'worst_bits' => 55]];
        // Davis, Burns, Bril and Lukkien 2007, the example that refutes the analysis of 1994: 1 ms frames of 125 bits at 125 kbit/s.
        yield 'the third misses' => ['can-response', ['bitrate' => '125000', 'messages' => '1:7:2.5:2.5, 2:7:3.5:3.25, 3:7:3.5:3.25'], ['response_ms' => [2.0, 3.0, 3.5], 'schedulable' => [true, true, false]]];
        yield 'more than fits' => ['can-response', ['bitrate' => '125000', 'messages' => '1:8:2.5:2.5,2:8:1:1'], ['response_ms' => [2.16, null], 'schedulable' => [true, false]]];
        // ISO 11898-2: 120 Ω at both ends.
        foreach ([['120, 120', 60.0, true], ['120', 120.0, false], ['120 120 120', 40.0, false], ['100;100', 50.0, true], ['', null, false]] as [$ohms, $total, $ok]) {
            yield "termination {$ohms}" => ['can-termination', ['ohms' => $ohms], ['total_ohm' => $total, 'ok' => $ok]];
        }
        // Printed by can-calc-bit-timing of can-utils 2020.11, for a controller whose clock is half of its crystal.
        yield '500 kbit/s of 8 MHz' => ['can-bit-timing', ['clock_hz' => '8000000', 'bitrate' => '500000'], ['prescaler' => 1, 'prop_seg' => 6, 'phase_seg1' => 7, 'phase_seg2' => 2, 'sjw' => 1, 'sample_point_percent' => 87.5, 'actual_bitrate' => 500_000.0]];
        yield 'not to be had' => ['can-bit-timing', ['clock_hz' => '1000000', 'bitrate' => '800000'], ['prescaler' => null, 'actual_bitrate' => null, 'possible' => false]];
    }

    /**
     * @param  array<string, string>  $given
     * @param  array<string, mixed>  $expected
     */
    #[DataProvider('published')]
    public function test_published_figures(string $name, array $given, array $expected): void
    {
        $result = self::calculate($name, $given);
        foreach ($expected as $key => $value) {
            self::assertSame($value, $result[$key], $key);
        }
    }

    /** Every clock of the grid at every rate and sample point, against can-calc-bit-timing of can-utils. */
    public function test_bit_timing_is_that_of_the_open_calculator(): void
    {
        $asked = [];
        $script = '';
        foreach ([4_000_000, 8_000_000, 10_000_000, 12_000_000, 16_000_000, 20_000_000, 24_000_000, 36_000_000, 40_000_000, 80_000_000] as $clock) {
            foreach ([10_000, 20_000, 33_333, 47_619, 50_000, 83_333, 95_238, 100_000, 125_000, 250_000, 500_000, 800_000, 1_000_000] as $rate) {
                foreach ([null, 750, 800, 667] as $point) {
                    $asked[] = [$clock, $rate, $point];
                    $script .= "can-calc-bit-timing -q -c {$clock} -b {$rate}".($point === null ? '' : " -s {$point}")." sja1000 2>&1 | tr '\\n' ' '; echo;\n";
                }
            }
        }
        $process = new Process(['bash'], null, null, $script);
        $process->mustRun();
        $lines = explode("\n", trim($process->getOutput()));
        self::assertCount(count($asked), $lines);
        $found = 0;
        foreach ($asked as $at => [$clock, $rate, $point]) {
            $timing = BitTiming::for($clock, $rate, $point);
            $where = "{$rate} of {$clock} at ".($point ?? 'the usual point').": {$lines[$at]}";
            if (preg_match('/^\s*\d+\s+\d+\s+(\d+)\s+(\d+)\s+(\d+)\s+(\d+)\s+(\d+)\s+(\d+)\s+([\d.]+)%/', $lines[$at], $said) !== 1) {
                self::assertNull($timing, $where);

                continue;
            }
            if ($said[2] === '0') {
                // It gives up where nothing is sampled as early as asked; what we say then is sampled a little later.
                self::assertGreaterThan((int) $point, 10 * ($timing?->samplePointPercent() ?? 100.0), $where);

                continue;
            }
            $found++;
            self::assertNotNull($timing, $where);
            self::assertSame([(int) $said[5], (int) $said[1], (int) $said[2], (int) $said[3], (int) $said[4]], [$timing->prescaler, $timing->propSeg, $timing->phaseSeg1, $timing->phaseSeg2, $timing->sjw], $where);
            self::assertSame((int) $said[6], (int) $timing->bitrate(), $where);
        }
        self::assertGreaterThan(400, $found);
    }

    /** A hundred frames against crccheck, which computes the check over bits, and against a second count of what is stuffed. */
    public function test_frames_are_those_of_another_construction(): void
    {
        $chance = new Randomizer(new Mt19937(11));
        $script = "from crccheck.crc import CrcBase\nclass C(CrcBase):\n    _width=15\n    _poly=0x4599\n    _initvalue=0\n    _xor_output=0\n";
        $frames = [];
        for ($count = 0; $count < 100; $count++) {
            $extended = $chance->getInt(0, 1) === 1;
            $bytes = $chance->getInt(0, 8);
            // Runs of equal bits are what is stuffed.
            $data = $bytes === 0 ? '' : implode('', array_map(static fn (): string => chr([0, 0xFF, 0xF0, $chance->getInt(0, 255)][$chance->getInt(0, 3)]), range(1, $bytes)));
            $id = $chance->getInt(0, 3) === 0 ? 0 : $chance->getInt(0, $extended ? CanFrame::EXTENDED_MOST : CanFrame::STANDARD_MOST);
            $frames[] = CanFrame::data($id, $extended, $data);
        }
        $script .= 'import json,sys'."\n".<<<'PY'
            def crc(bits):
                reg=0
                for b in bits:
                    nxt=b ^ (reg>>14)
                    reg=(reg<<1)&0x7fff
                    if nxt: reg^=0x4599
                return reg
            out=[]
            for f in json.load(sys.stdin):
                i,x,d=f
                n=len(d)//2
                body=int(d,16) if d else 0
                # One great number, most significant bit first, as the standard lists the fields.
                if x:
                    v=((i>>18)<<20)|(3<<18)|(i&0x3ffff); width=1+11+2+18
                    v=(v<<3)|0; width+=3
                else:
                    v=i<<3; width=1+11+3
                v=(v<<4)|n; width+=4
                v=(v<<(8*n))|body; width+=8*n
                bits=[(v>>k)&1 for k in range(width-1,-1,-1)]
                pad=(-width)%8
                c=C()
                # Leading zeros leave a check that starts at nothing as it is.
                c.process((v).to_bytes((width+7)//8,'big'))
                assert c.final()==crc(bits)
                full=bits+[(crc(bits)>>k)&1 for k in range(14,-1,-1)]
                sent=[]
                for b in full:
                    sent.append(b)
                    if len(sent)>=5 and len(set(sent[-5:]))==1: sent.append(1-b)
                out.append([crc(bits),len(sent)-len(full),len(sent)+13])
            print(json.dumps(out))
            PY;
        $process = new Process(['/usr/bin/python3', '-c', $script], null, null, json_encode(array_map(static fn (CanFrame $frame): array => [$frame->id, $frame->extended, bin2hex($frame->data)], $frames), JSON_THROW_ON_ERROR));
        $process->mustRun();
        $expected = json_decode($process->getOutput(), true, 8, JSON_THROW_ON_ERROR);
        self::assertSame($expected, array_map(static fn (CanFrame $frame): array => [$frame->crc(), $frame->stuffBits(), $frame->exactBits()], $frames));
        foreach ($frames as $frame) {
            self::assertLessThanOrEqual(CanFrame::worstBits($frame->extended, strlen($frame->data)), $frame->exactBits());
        }
    }

    /** Buses played from many offsets: none is ever later than it is said to be, and the worst of some is met. */
    public function test_no_bus_that_is_played_is_later_than_said(): void
    {
        $met = 0;
        foreach (range(1, 40) as $seed) {
            $chance = new Randomizer(new Mt19937($seed));
            $messages = [];
            foreach (range(1, $chance->getInt(2, 5)) as $rank) {
                $period = $chance->getInt(8, 40) * 250_000;
                $messages[] = new Sent($rank, false, $chance->getInt(0, 8), $period, $period);
            }
            $times = new ResponseTimes(125_000, $messages);
            $said = array_map($times->worstNs(...), $messages);
            $worst = array_fill(0, count($messages), 0);
            foreach (range(1, 30) as $try) {
                foreach (self::played($messages, 125_000, $chance) as $at => $ns) {
                    $worst[$at] = max($worst[$at], $ns);
                }
            }
            foreach ($said as $at => $ns) {
                if ($ns !== null) {
                    self::assertLessThanOrEqual($ns, $worst[$at], "seed {$seed}, message {$at}");
                    $met += $worst[$at] >= 0.95 * $ns ? 1 : 0;
                }
            }
        }
        self::assertGreaterThan(40, $met, 'What is said is no more than what happens.');
    }

    /**
     * @param  list<Sent>  $messages  the most urgent first
     * @return list<int> the longest wait of each, nanoseconds
     */
    private static function played(array $messages, int $bitrate, Randomizer $chance): array
    {
        $next = array_map(static fn (Sent $one): int => $chance->getInt(0, 3) === 0 ? 0 : $chance->getInt(0, $one->periodNs), $messages);
        $worst = array_fill(0, count($messages), 0);
        $queue = [];
        $now = 0;
        while ($now < 400_000_000) {
            foreach ($next as $at => $release) {
                while ($next[$at] <= $now) {
                    $queue[$at][] = $next[$at];
                    $next[$at] += $messages[$at]->periodNs;
                }
            }
            ksort($queue);
            $first = array_key_first($queue);
            if ($first === null) {
                $now = min($next);

                continue;
            }
            $released = array_shift($queue[$first]);
            if ($queue[$first] === []) {
                unset($queue[$first]);
            }
            $now += intdiv(CanFrame::worstBits(false, $messages[$first]->bytes) * 1_000_000_000, $bitrate);
            $worst[$first] = max($worst[$first], $now - (int) $released);
        }

        return $worst;
    }

    /** All but full, of as many as there may be, each an hour apart or a millisecond: it is given up, and soon. */
    public function test_a_bus_that_is_all_but_full_is_given_up(): void
    {
        $messages = [new Sent(0, false, 8, 1_081_000, 1_081_000), ...array_map(static fn (int $id): Sent => new Sent($id, false, 8, 3_600_000_000_000, 3_600_000_000_000), range(1, 199))];
        $times = new ResponseTimes(125_000, $messages);
        self::assertNull($times->worstNs($messages[0]));
        self::assertNull($times->worstNs($messages[199]));
        // An hour is no time that cannot be counted with.
        self::assertSame(2_160_000, (new ResponseTimes(125_000, array_slice($messages, 1)))->worstNs($messages[1]));
    }

    /** @return iterable<string, array{string, array<string, string>}> */
    public static function nonsense(): iterable
    {
        yield 'nine bytes' => ['can-frame-bits', ['id_bits' => '11', 'data_bytes' => '9']];
        yield 'twelve bits' => ['can-frame-bits', ['id_bits' => '12', 'data_bytes' => '1']];
        yield 'an id that is too long' => ['can-frame', ['id' => '800', 'data' => '']];
        yield 'half a byte' => ['can-frame', ['id' => '1', 'data' => '123']];
        yield 'a remote frame with data' => ['can-frame', ['id' => '1', 'data' => '12', 'remote' => 'true']];
        yield 'one id twice' => ['can-response', ['bitrate' => '125000', 'messages' => '1:1:1:1,1:2:2:2']];
        yield 'no message' => ['can-response', ['bitrate' => '125000', 'messages' => ' , ']];
        yield 'words' => ['can-response', ['bitrate' => '125000', 'messages' => '1:x:1:1']];
        yield 'no time between' => ['can-response', ['bitrate' => '125000', 'messages' => '1:1:0:1']];
        yield 'no number' => ['can-termination', ['ohms' => '120 x']];
        yield 'no resistance' => ['can-termination', ['ohms' => '0']];
        yield 'too fast' => ['can-bit-timing', ['clock_hz' => '8000000', 'bitrate' => '2000000']];
        yield 'sampled at the start' => ['can-bit-timing', ['clock_hz' => '8000000', 'bitrate' => '125000', 'sample_point_percent' => '10']];
    }

    /** @param  array<string, string>  $given */
    #[DataProvider('nonsense')]
    public function test_nonsense_is_refused(string $name, array $given): void
    {
        try {
            self::calculate($name, $given);
        } catch (BadInput|OutOfRange $refused) {
            self::assertNotSame('', $refused->getMessage());

            return;
        }
        self::fail('It was taken.');
    }
}
