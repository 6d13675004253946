<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Catalogue\Band;
use Rundfunk\Knowledge;
use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\Schema;
use Rundfunk\Shape\Values;
use Rundfunk\View\DrawsPanel;

/** The figures of a press: a frame to scale, how often it comes, the band it is in, and what each end sends and hears. */
final readonly class KeyedPanel implements DrawsPanel
{
    /** @return array<string, mixed> */
    public function panelSchema(): array
    {
        return Schema::object([
            'freqMhz' => Schema::number(), 'quarterWaveMm' => Schema::whole(), 'frameMs' => Schema::number(), 'pressMs' => Schema::number(),
            'bands' => Schema::listOf(Schema::object(['fromMhz' => Schema::number(), 'toMhz' => Schema::number(), 'maxEirpDbm' => Schema::number(), 'rule' => Schema::text(), 'here' => Schema::flag()])),
            'region' => Schema::text(), 'asOf' => Schema::text(),
            'codes' => Schema::listOf(Schema::object([
                'codeId' => Schema::text(), 'node' => Schema::text(), 'name' => Schema::text(), 'says' => Schema::text(), 'trits' => Schema::orNull(Schema::text()),
                'lengthsUs' => Schema::listOf(Schema::whole()),
            ])),
            'ends' => Schema::listOf(Schema::object([
                'endpointId' => Schema::text(), 'board' => Schema::flag(), 'answers' => Schema::orNull(Schema::text()),
                'sender' => Schema::orNull(Schema::text()), 'sends' => Schema::listOf(Schema::text()), 'hears' => Schema::listOf(Schema::text()),
            ])),
        ]);
    }

    /** @return array<string, mixed> */
    public function panel(Plan $plan, Link $link, Knowledge $knowledge): array
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

        return [
            'freqMhz' => $settings->freqMhz(),
            'quarterWaveMm' => $settings->quarterWaveMm(),
            'frameMs' => round($settings->frameNs() / 1e6, 1),
            'pressMs' => round($settings->pressNs() / 1e6, 1),
            'bands' => array_map(static fn (Band $band): array => [
                'fromMhz' => $band->fromMhz, 'toMhz' => $band->toMhz, 'maxEirpDbm' => $band->maxEirpDbm, 'rule' => $band->rule, 'here' => $band->holds($settings->freqMhz()),
            ], $region->bandsOf(KeyedRadio::KEY)),
            'region' => $region->name,
            'asOf' => $region->asOf,
            'codes' => $codes,
            'ends' => array_map(static fn (Endpoint $end): array => self::end($plan, $end, $knowledge, $settings), $plan->endpointsOn($link)),
        ];
    }

    /** @return array<string, mixed> */
    private static function code(Node $node, KeyCode $code, KeyedSettings $settings): array
    {
        $bits = KeyedCodes::bits($code);
        $signal = $bits === null ? null : KeyedFrame::encode($bits->bits, $settings->pulseUs);

        return [
            'codeId' => $code->id, 'node' => $node->name, 'name' => $code->name, 'says' => KeyedCodes::words($code, $settings->coding), 'trits' => $bits?->trits(),
            'lengthsUs' => array_map(static fn (int $ns): int => intdiv($ns, 1000), $signal->lengthsNs ?? []),
        ];
    }

    /** @return array<string, mixed> */
    private static function end(Plan $plan, Endpoint $endpoint, Knowledge $knowledge, KeyedSettings $settings): array
    {
        $number = KeyedCodes::senderNumber($plan, $endpoint);
        $class = $endpoint->moduleId === null ? null : $knowledge->catalogue->classOf($plan->module($endpoint->moduleId));

        return [
            'endpointId' => $endpoint->id,
            'board' => ! $plan->node($endpoint->nodeId)->kind->isBought(),
            'answers' => $class === null ? null : (new Values($class->figures))->textOrNull('answers'),
            'sender' => $number === null ? null : sprintf('%05X', $number),
            'sends' => self::names($plan, $plan->hopsFrom($endpoint), $settings),
            'hears' => self::names($plan, $plan->hopsTo($endpoint), $settings),
        ];
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
