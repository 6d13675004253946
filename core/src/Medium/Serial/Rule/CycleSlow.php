<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\Trial;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** So many boxes at so low a rate that a key is felt too late. */
#[Finds('serial-cycle-slow', WorkStep::Links)]
final readonly class CycleSlow implements LinkRule
{
    /** Beyond that people press again. Common practice. */
    private const FELT_NS = 250_000_000;

    public function check(Link $link, Look $look): iterable
    {
        $line = SerialLine::of($look->plan, $link);
        $asker = $line->asker();
        if ($asker === null || $line->isBought()) {
            return [];
        }
        $worstNs = self::worstNs($line);
        $keys = false;
        foreach ($line->boxes() as $box) {
            foreach ($look->plan->hopsFrom($box) as $hop) {
                $keys = $keys || $look->plan->control($look->plan->route($hop->routeId)->controlId)->kind->isByHand();
            }
        }
        if (! $keys || $worstNs <= self::FELT_NS) {
            return [];
        }

        return [Finding::warning(
            "A key on {$link->name} waits up to ".Figures::duration($worstNs).' until its box is asked',
            Spot::of($link, $link->name, 'baud'),
            Figures::counted(count($line->boxes()), 'box').' are asked in turn, '.Figures::duration($line->exchangeNs()).' each, and one that is dead costs '.Figures::duration($line->missedNs()).'. Beyond a quarter of a second people press again.',
            'A higher rate, less rest between exchanges, or fewer boxes on the line.',
            self::faster($look, $link, $line),
            numbers: ['cycle_ms' => round($line->cycleNs() / 1e6, 1), 'worst_ms' => round($worstNs / 1e6, 1)],
            about: [$link->id],
        )];
    }

    /** From a key until its box is asked, with one that is dead on the way. */
    private static function worstNs(SerialLine $line): int
    {
        return $line->cycleNs() + $line->missedNs() - $line->exchangeNs();
    }

    /** @return Fix|null the least of two common rates that is enough and that the cable bears */
    private static function faster(Look $look, Link $link, SerialLine $line): ?Fix
    {
        foreach ([19_200, 38_400] as $baud) {
            $settings = Trial::timed($look, $link, ['baud' => $baud]);
            $then = SerialLine::of($look->plan, new Link($link->id, $link->name, $link->medium, [...$link->settings, ...$settings]));
            if ($baud > $line->settings->baud && $line->settings->levels->reachM($baud) >= ($line->settings->lengthM ?? 0.0) && self::worstNs($then) <= self::FELT_NS) {
                return Trial::settings("Set {$baud} baud", $look, $link, $settings);
            }
        }

        return null;
    }
}
