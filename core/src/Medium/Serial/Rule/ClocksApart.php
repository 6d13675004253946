<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Electrical\BaudMismatch;
use Rundfunk\Medium\Serial\SerialClock;
use Rundfunk\Medium\Serial\SerialPairs;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Medium\Serial\Trial;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Two boards whose clocks make rates too far from one another. */
#[Finds('serial-clocks-apart', WorkStep::Links)]
final readonly class ClocksApart implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $settings = SerialSettings::of($link);
        $worst = null;
        foreach (SerialPairs::of($look, $link) as [$speaker, $listener]) {
            [$from, $to] = [$look->board($speaker->node), $look->board($listener->node)];
            [$one, $other] = [SerialClock::errorPercent($from, $settings->baud), SerialClock::errorPercent($to, $settings->baud)];
            $apart = SerialClock::apartPercent($from, $to, $settings->baud);
            if ($apart >= BaudMismatch::DOUBTFUL_PERCENT && $apart > ($worst['apart'] ?? 0.0)) {
                $worst = ['apart' => $apart, 'one' => $one, 'other' => $other, 'names' => [$speaker->node->name, $listener->node->name]];
            }
        }
        if ($worst === null) {
            return [];
        }
        $limit = (new BaudMismatch(0.0, 0.0, $settings->bitsPerCharacter()))->limitPercent();

        return [Finding::of(
            $worst['apart'] < BaudMismatch::WRONG_PERCENT ? Severity::Warning : Severity::Fault,
            sprintf('%s and %s are %.2f %% apart at %d baud', $worst['names'][0], $worst['names'][1], $worst['apart'], $settings->baud),
            Spot::of($link, $link->name, 'baud'),
            sprintf('The one makes %+.2f %%, the other %+.2f %%, and their clocks may be off besides; at %.1f %% the last bit of a character is read as its neighbour.', $worst['one'], $worst['other'], $limit),
            'Take a rate that both clocks divide to: 9600, 19,200 or 38,400 fit most.',
            self::fix($link, $look),
            numbers: ['difference_percent' => round($worst['apart'], 2), 'baud' => $settings->baud],
            about: [$link->id],
        )];
    }

    private static function fix(Link $link, Look $look): ?Fix
    {
        $now = SerialSettings::of($link)->baud;
        foreach ([38_400, 19_200, 9_600] as $baud) {
            if ($baud <= $now && $baud !== $now) {
                $apart = 0.0;
                foreach (SerialPairs::of($look, $link) as [$speaker, $listener]) {
                    $apart = max($apart, SerialClock::apartPercent($look->board($speaker->node), $look->board($listener->node), $baud));
                }
                if ($apart < BaudMismatch::DOUBTFUL_PERCENT) {
                    return Trial::settings("Set {$baud} baud", $look, $link, ['baud' => $baud]);
                }
            }
        }

        return null;
    }
}
