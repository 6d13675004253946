<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Learn\LearnedRow;
use Rundfunk\Learn\LearningRefused;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Signal\CaptureRefused;
use Rundfunk\Signal\CaptureText;

/** Learns fixed codes from a capture of marks and spaces, as a receiver's data pin gives them. */
final readonly class KeyedLearning
{
    /**
     * Longer than three pulse lengths of the slowest fobs, shorter than the thirty-one of the quickest, with what receivers
     * add: good for pulses of 0.12 to 0.87 ms.
     */
    private const PAUSE_NS = 3_000_000;

    /**
     * @param  list<KeyCode>  $known
     * @return list<array<string, mixed>>
     *
     * @throws LearningRefused
     */
    public static function from(string $text, array $known): array
    {
        try {
            $frames = CaptureText::read($text, self::PAUSE_NS);
        } catch (CaptureRefused $refused) {
            throw LearningRefused::because($refused->getMessage());
        }
        $rows = [];
        $sends = [];
        foreach ($frames as $frame) {
            $said = KeyedFrame::decode($frame->signal);
            if ($said === null) {
                continue;
            }
            $sends[$said['code']] = ($sends[$said['code']] ?? 0) + 1;
            $rows[$said['code']] ??= ['signal' => $frame->signal, 'pulseUs' => $said['pulseUs']];
        }
        // Noise makes codes of its own; what was pressed comes at least twice.
        $listed = [];
        foreach ($rows as $code => ['signal' => $signal, 'pulseUs' => $pulseUs]) {
            if ($sends[$code] < 2) {
                continue;
            }
            $bits = KeyedCode::of($code);
            $listed[] = LearnedRow::of(
                count($listed) + 1,
                null,
                trim($bits->text().' '.($bits->trits() ?? '')),
                ['protocol' => 'keyed', 'address' => null, 'command' => $code, 'carrierHz' => null, 'timings' => '', 'format' => "pulse={$pulseUs}"],
                null,
                self::knownAs($bits, $known),
                null,
                $sends[$code],
                round(KeyedFrame::frameNs(KeyedFrame::BITS, max(50, min(2_000, $pulseUs))) / 1e6, 1),
                array_map(static fn (int $ns): int => (int) round($ns / 1000), $signal->lengthsNs),
            );
        }

        return $listed === [] ? throw LearningRefused::because('No fixed code came at least twice: press each key for a second, close to the receiver.') : $listed;
    }

    /** @param  list<KeyCode>  $known */
    private static function knownAs(KeyedCode $bits, array $known): ?string
    {
        foreach ($known as $code) {
            if (KeyedCodes::bits($code)?->bits === $bits->bits) {
                return $code->name;
            }
        }

        return null;
    }
}
