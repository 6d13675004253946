<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Medium\Serial\Bought\ProtocolView;
use Rundfunk\Medium\Serial\Bought\TrialView;
use Rundfunk\Medium\Serial\SerialPanel;
use Rundfunk\Medium\Serial\Shown\DeviceTrial;
use Rundfunk\Medium\Serial\Shown\ProtocolItemShown;
use Rundfunk\Medium\Serial\Shown\ProtocolSample;
use Rundfunk\Medium\Serial\Shown\SerialStroke;
use Rundfunk\Plan\Plan;
use Tests\Core\CoreTestCase;

/** What screens show of bought devices. */
final class BoughtViewsTest extends CoreTestCase
{
    private static function plan(string $protocol): Plan
    {
        return Devices::line(self::sketch(), Devices::protocols()[$protocol])->plan();
    }

    private static function trial(Plan $plan, string $asked): DeviceTrial
    {
        $trial = (new TrialView)->of($asked, $plan, self::knowledge());
        self::assertNotNull($trial);

        return $trial;
    }

    /** @return iterable<string, array{string, string, string|null, string|null}> protocol, how it is asked, what to send, what it means */
    public static function trials(): iterable
    {
        $packets = 'a start byte, lengths, CRC-16/MODBUS low byte first';
        yield 'a figure' => [$packets, 'item=Go&id=3&figure=12', '55 03 01 04 00 78 07', null];
        yield 'on' => [$packets, 'item=Lamp&id=3&figure=1', '55 03 02 02 FF', null];
        yield 'off' => [$packets, 'item=Lamp&id=3&figure=0', '55 03 02 02 00', null];
        yield 'kept to what it takes' => [$packets, 'item=Go&id=3&figure=32000', '55 03 01 04 27 10 07', null];
        yield 'no such function' => [$packets, 'item=Dance&id=3', null, null];
        yield 'a line' => ['words', 'item=Go&id=12&figure=-3', '#12:GO -30,7<CR><LF>', null];
        yield 'what came, typed' => ['words', 'came='.urlencode('#4:TEMP x,21.50'), '#0:GO 0,7<CR><LF>', 'device 4 answers Warmth: 21.5'];
        yield 'what came, as bytes' => ['words', 'came='.urlencode(implode(' ', str_split(bin2hex("#4:MOVING 1\r\n"), 2))), '#0:GO 0,7<CR><LF>', 'device 4 answers Moving: 1'];
        yield 'on and off' => ['words', 'came='.urlencode('#9:LAMP OFF<CR><LF>'), '#0:GO 0,7<CR><LF>', 'device 9 is told Lamp: off'];
        yield 'said unasked' => ['words', 'came='.urlencode('#1:CARD 77'), '#0:GO 0,7<CR><LF>', 'device 1 says Card: 77'];
        yield 'nothing' => ['words', 'came=hello', '#0:GO 0,7<CR><LF>', 'nothing that is written down here, or not whole'];
        yield 'ids do not show in bare answers' => ['words with a check, ids as letters, bare answers', 'item=Rest&id=2&came='.urlencode('MOVING=3'.sprintf('%02X', array_reduce(str_split('OVING=3'), static fn (int $sum, string $sign): int => $sum ^ ord($sign), 0))), '<ESC>BREST', 'it answers Moving: 3'];
    }

    #[DataProvider('trials')]
    public function test_a_frame_to_try_by_hand_and_what_came_back(string $protocol, string $asked, ?string $sends, ?string $means): void
    {
        $trial = self::trial(self::plan($protocol), $asked);
        $shown = $trial->text ?? $trial->hex;
        self::assertSame($sends, $sends === null ? $shown : substr((string) $shown, 0, strlen($sends)));
        self::assertSame($means, $trial->heard);
    }

    public function test_nonsense_is_shown_nothing_and_takes_no_time_to_speak_of(): void
    {
        $plan = self::plan('words');
        self::assertNull((new TrialView)->of('protocol=nobody', $plan, self::knowledge()));
        foreach (['protocol[]=x', 'item[]=x&id[]=3', 'id=-99999999999&figure=99999999999&came='.str_repeat('41', 100_000), 'came='.urlencode(str_repeat('#4:', 50_000)), 'came=%00%ff'] as $asked) {
            $trial = self::trial($plan, $asked);
            self::assertSame(str_contains($asked, 'came='), $trial->heard !== null, substr($asked, 0, 30));
        }
    }

    public function test_every_function_and_reading_stands_there_as_bytes(): void
    {
        $plan = self::plan('words');
        $shown = (new ProtocolView)->of($plan->nodes()[1]->protocolId ?? '', $plan, self::knowledge());
        self::assertSame([], $shown->faults);
        $texts = [];
        foreach ($shown->items as $item) {
            $texts[$item->name] = [$item->can, array_map(static fn (ProtocolSample $one): string => trim("{$one->what} {$one->text}"), $item->sent), count($item->answers)];
        }
        self::assertSame(['-1000 to 1000', ['-1000 #1:GO -10000,7<CR><LF>', '1000 #1:GO 10000,7<CR><LF>'], 1], $texts['Go']);
        self::assertSame(['on or off', ['on #1:LAMP ON<CR><LF>', 'off #1:LAMP OFF<CR><LF>'], 1], $texts['Lamp']);
        self::assertSame(['does it when it is told', ['#1:HOME<CR><LF>'], 1], $texts['Home']);
        self::assertSame('a figure', $texts['Warmth'][0]);
        self::assertSame(
            ['Go' => ['function', 'reading'], 'Lamp' => ['function'], 'Home' => ['function', 'reading'], 'Rest' => ['function', 'reading'], 'Moving' => ['reading'], 'Warmth' => ['reading'], 'Card' => ['reading', 'key']],
            array_column(array_map(static fn (ProtocolItemShown $item): array => ['name' => $item->name, 'serves' => $item->serves], $shown->items), 'serves', 'name'),
        );
    }

    public function test_the_ladder_shows_each_question_with_its_own_length(): void
    {
        $plan = self::plan('a start byte, lengths, CRC-16/MODBUS low byte first');
        $panel = (new SerialPanel)->panel($plan, $plan->links()[0], self::knowledge());
        self::assertSame(['Board', 'Drive 1', 'Drive 2'], $panel->columns);
        $strokes = array_map(static fn (SerialStroke $stroke): array => [$stroke->label, $stroke->from, $stroke->to, round($stroke->toMs - $stroke->fromMs, 2)], $panel->strokes);
        self::assertSame([['Warmth', 0, 1, 1.56], ['turn', 1, 1, 2.0], ['answer', 1, 0, 2.08], ['rest', 0, 0, 2.0]], array_slice($strokes, 0, 4));
        self::assertSame([], $panel->fields);
        self::assertSame('crc-16/modbus', $panel->check);
        // Warmth of 14 bytes and Moving of 13, both of two devices; 2 ms to turn and 2 to rest each.
        self::assertEqualsWithDelta(2 * (27 * 10 / 38.4 + 8.0), $panel->cycleMs, 0.001);
    }
}
