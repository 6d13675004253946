<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Calculator;

use Rundfunk\Calculator\BadInput;
use Rundfunk\Calculator\Calculator;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Can\CanFrame;
use Rundfunk\Medium\Can\HexText;
use Rundfunk\Medium\Can\ResponseTimes;
use Rundfunk\Medium\Can\Sent;
use Rundfunk\OutOfRange;

final readonly class ResponseTimesOf implements Calculator
{
    public function name(): string
    {
        return 'can-response';
    }

    public function topic(): string
    {
        return 'CAN';
    }

    public function title(): string
    {
        return 'CAN response times';
    }

    public function plainly(): string
    {
        return 'How late each message of a bus can come at worst';
    }

    public function formula(): string
    {
        return 'w(q) = B + q·C + Σ ⌈(w + J + τ) ÷ T⌉·C of all more urgent; R = J + w(q) − q·T + C, over the busy period';
    }

    public function source(): string
    {
        return 'Davis, Burns, Bril and Lukkien, Controller Area Network (CAN) schedulability analysis: refuted, revisited and revised, 2007';
    }

    public function inputs(): array
    {
        return [
            Quantity::whole('bitrate', 'bit/s', 'Of the bus.')->example('125000'),
            Quantity::texts('messages', 'Each as id:bytes:period_ms:deadline_ms, then perhaps :jitter_ms and :extended; the id hexadecimal; parted by commas.')->example('100:8:10:10, 200:8:20:20, 300:4:100:100'),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::numbers('response_ms', 'ms', 'From its release to its last bit at worst, in the order given; none where it may wait for ever.'),
            Quantity::flags('schedulable', 'Whether that is within its deadline.'),
            Quantity::number('load_percent', '%', 'Of the bus, at worst stuffing.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $messages = array_map(self::message(...), array_values(array_filter(array_map(trim(...), explode(',', $inputs->text('messages'))), static fn (string $one): bool => $one !== '')));
        $ranks = array_map(static fn (Sent $one): int => $one->rank(), $messages);
        if (count(array_unique($ranks)) < count($ranks)) {
            throw OutOfRange::because('messages', 'Two messages have one identifier: only one may send it.');
        }
        $bitrate = $inputs->whole('bitrate');
        $times = new ResponseTimes($bitrate, $messages);
        $worst = array_map($times->worstNs(...), $messages);

        return [
            'response_ms' => array_map(static fn (?int $ns): ?float => $ns === null ? null : round($ns / 1_000_000, 6), $worst),
            'schedulable' => array_map(static fn (?int $ns, Sent $one): bool => $ns !== null && $ns <= $one->deadlineNs, $worst, $messages),
            'load_percent' => round(100 * array_sum(array_map(static fn (Sent $one): float => CanFrame::worstBits($one->extended, $one->bytes) / $bitrate / ($one->periodNs / 1_000_000_000), $messages)), 3),
        ];
    }

    private static function message(string $text): Sent
    {
        $parts = array_map(trim(...), explode(':', $text));
        if (count($parts) < 4 || count($parts) > 6) {
            throw OutOfRange::because('messages', "\u{201C}{$text}\u{201D} is not id:bytes:period_ms:deadline_ms.");
        }
        $extended = in_array(strtolower($parts[5] ?? ''), ['1', 'true', 'yes', 'extended', 'x'], true);
        $id = HexText::number('messages', $parts[0]);
        OutOfRange::unless('id', $id, 0, $extended ? CanFrame::EXTENDED_MOST : CanFrame::STANDARD_MOST);
        $bytes = filter_var($parts[1], FILTER_VALIDATE_INT);

        return new Sent($id, $extended, $bytes === false ? throw BadInput::notWhole('messages', $parts[1]) : $bytes, self::ns($parts[2]), self::ns($parts[3]), self::ns(($parts[4] ?? '') === '' ? '0' : $parts[4]));
    }

    private static function ns(string $ms): int
    {
        if (! is_numeric($ms)) {
            throw BadInput::notANumber('messages', $ms);
        }
        OutOfRange::unless('messages', (float) $ms, 0, 1_000_000);

        return (int) round(1_000_000 * (float) $ms);
    }
}
