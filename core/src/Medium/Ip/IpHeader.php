<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Build\Define;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Text\CNames;
use Rundfunk\Text\UniqueNames;

final readonly class IpHeader
{
    /** @return list<Define> */
    public static function defines(Plan $plan, Endpoint $endpoint): array
    {
        $link = $plan->link($endpoint->linkId);
        $node = $plan->node($endpoint->nodeId);
        $settings = IpSettings::of($link);
        $broker = IpEnds::brokers($plan, $link)[0] ?? null;
        $defines = [new Define('SSID', CNames::text($settings->ssid), 'its password is given on the compiler\'s command line, never here')];
        foreach (['ADDRESS' => IpEnds::address($plan, $endpoint)?->value, 'CLIENT_ID' => IpEnds::clientId($endpoint), 'BROKER' => $broker === null ? null : IpEnds::address($plan, $broker)?->value] as $name => $value) {
            if ($value !== null) {
                $defines[] = new Define($name, CNames::text($value));
            }
        }
        $defines = [...$defines, new Define('BROKER_PORT', (string) $settings->brokerPort), new Define('QOS', (string) $settings->qos), new Define('KEEP_ALIVE_S', (string) $settings->keepAliveS)];
        $names = new UniqueNames;
        foreach (Topics::ofNode($plan, $link, $node) as $topic) {
            $name = $names->name('TOPIC_'.CNames::upper($topic->kind === TopicKind::Presence ? 'presence' : "{$topic->what} {$topic->kind->value}"));
            $defines[] = new Define($name, CNames::text($topic->name), ($topic->retained ? 'retained, ' : '').$topic->payload);
        }
        foreach ($plan->hopsFrom($endpoint) as $hop) {
            $route = $plan->route($hop->routeId);
            $output = $plan->output($route->outputId);
            $name = $names->name('SEND_'.CNames::upper("{$plan->node($output->nodeId)->name} {$output->name} ".RouteNames::inWords($route)));
            $defines[] = new Define($name, CNames::text(Topics::command($plan, $link, $output)), Topics::payload($route).': '.RouteNames::of($plan, $route));
        }

        return $defines;
    }
}
