<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Build\Define;
use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Text\CNames;
use Rundfunk\Text\UniqueNames;

final readonly class KeyedHeader
{
    /** @return list<Define> */
    public static function defines(Plan $plan, Endpoint $endpoint): array
    {
        $settings = KeyedSettings::of($plan->link($endpoint->linkId));
        $defines = [new Define('FREQ_KHZ', $settings->freqKhz.'UL')];
        if ($settings->coding !== KeyedCoding::Pair) {
            $defines[] = new Define('PULSE_US', (string) $settings->pulseUs, 'nought: 1 on 3 off, one: 3 on 1 off, sync: 1 on 31 off');
            $defines[] = new Define('REPEATS', (string) $settings->repeats, 'frames a press; believe a code that came twice, and act once until it has been quiet for '.(int) ceil(2 * $settings->frameNs() / 1e6).' ms');
        }
        $number = KeyedCodes::senderNumber($plan, $endpoint);
        if ($number !== null) {
            $defines[] = new Define('SENDER', sprintf('0x%05XUL', $number), 'how this node signs: the upper 20 of the 24 bits');
        }

        return [...$defines, ...self::codes($plan, $endpoint, $settings)];
    }

    /** @return list<Define> */
    private static function codes(Plan $plan, Endpoint $endpoint, KeyedSettings $settings): array
    {
        $names = new UniqueNames;
        $defines = [];
        foreach ([['SEND', $plan->hopsFrom($endpoint)], ['HEAR', $plan->hopsTo($endpoint)]] as [$verb, $hops]) {
            foreach ($hops as $hop) {
                $route = $plan->route($hop->routeId);
                $learned = KeyedCodes::isOurs($plan, $hop) ? null : LearnedCodes::of($plan, $hop);
                $bits = KeyedCodes::of($plan, $hop);
                $name = $names->name("{$verb}_".CNames::upper("{$plan->control($route->controlId)->name} {$plan->output($route->outputId)->name} ".RouteNames::inWords($route)));
                if ($bits !== null) {
                    $defines[] = new Define($name, sprintf('0x%06XUL', $bits->bits), RouteNames::of($plan, $route).($settings->coding === KeyedCoding::Trits && $bits->trits() !== null ? ", {$bits->trits()}" : ''));
                } elseif ($learned !== null && KeyedCodes::button($learned) !== null) {
                    $defines[] = new Define($name, (string) $learned->command, RouteNames::of($plan, $route).', pin D'.$learned->command);
                }
            }
        }

        return $defines;
    }
}
