<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Catalogue\Band;
use Rundfunk\Knowledge;
use Rundfunk\Medium\KeyedRadio\Shown\KeyedBand;
use Rundfunk\Medium\KeyedRadio\Shown\KeyedCodeFigures;
use Rundfunk\Medium\KeyedRadio\Shown\KeyedEndFigures;
use Rundfunk\Medium\KeyedRadio\Shown\KeyedFigures;
use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\Values;
use Rundfunk\View\DrawsPanel;

/** The figures of a press: a frame to scale, how often it comes, the band it is in, and what each end sends and hears. */
final readonly class KeyedPanel implements DrawsPanel
{
    public function shape(): string
    {
        return KeyedFigures::class;
    }

    public function panel(Plan $plan, Link $link, Knowledge $knowledge): KeyedFigures
    {
        $settings = KeyedSettings::of($link);
        $region = $knowledge->catalogue->regionOf($plan);
        $codes = [];
        foreach ($plan->endpointsOn($link) as $endpoint) {
            $node = $plan->node($endpoint->nodeId);
            foreach ($plan->keyCodesOf($node) as $code) {
                $codes[] = self::code($node, $code, $settings);
            }
        }

        return new KeyedFigures(
            $settings->freqMhz(),
            $settings->quarterWaveMm(),
            round($settings->frameNs() / 1e6, 1),
            round($settings->pressNs() / 1e6, 1),
            array_map(
                static fn (Band $band): KeyedBand => new KeyedBand($band->fromMhz, $band->toMhz, $band->maxEirpDbm, $band->rule, $band->holds($settings->freqMhz())),
                $region->bandsOf(KeyedRadio::KEY),
            ),
            $region->name,
            $region->asOf,
            $codes,
            array_map(static fn (Endpoint $end): KeyedEndFigures => self::end($plan, $end, $knowledge, $settings), $plan->endpointsOn($link)),
        );
    }

    private static function code(Node $node, KeyCode $code, KeyedSettings $settings): KeyedCodeFigures
    {
        $bits = KeyedCodes::bits($code);
        $signal = $bits === null ? null : KeyedFrame::encode($bits->bits, $settings->pulseUs);

        return new KeyedCodeFigures(
            $code->id, $node->name, $code->name, KeyedCodes::words($code, $settings->coding), $bits?->trits(),
            array_map(static fn (int $ns): int => intdiv($ns, 1000), $signal->lengthsNs ?? []),
        );
    }

    private static function end(Plan $plan, Endpoint $endpoint, Knowledge $knowledge, KeyedSettings $settings): KeyedEndFigures
    {
        $number = KeyedCodes::senderNumber($plan, $endpoint);
        $class = $endpoint->moduleId === null ? null : $knowledge->catalogue->classOf($plan->module($endpoint->moduleId));

        return new KeyedEndFigures(
            $endpoint->id,
            ! $plan->node($endpoint->nodeId)->kind->isBought(),
            $class === null ? null : (new Values($class->figures))->textOrNull('answers'),
            $number === null ? null : sprintf('%05X', $number),
            self::names($plan, $plan->hopsFrom($endpoint), $settings),
            self::names($plan, $plan->hopsTo($endpoint), $settings),
        );
    }

    /**
     * @param  list<Hop>  $hops
     * @return list<string>
     */
    private static function names(Plan $plan, array $hops, KeyedSettings $settings): array
    {
        $names = [];
        foreach ($hops as $hop) {
            $route = $plan->route($hop->routeId);
            $learned = LearnedCodes::of($plan, $hop);
            $code = KeyedCodes::isOurs($plan, $hop) ? KeyedCodes::of($plan, $hop)?->text() : ($learned === null ? null : KeyedCodes::words($learned, $settings->coding));
            $names[] = "{$plan->control($route->controlId)->name}: ".($code ?? 'no code yet');
        }

        $names = array_values(array_unique($names));
        sort($names, SORT_NATURAL | SORT_FLAG_CASE);

        return $names;
    }
}
