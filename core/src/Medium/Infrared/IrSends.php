<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Plan;

/** What goes over an infrared link, and from where to where. */
final readonly class IrSends
{
    /** @return list<array{hop: Hop, code: KeyCode}> what an end sends, each code once */
    public static function from(Plan $plan, Endpoint $endpoint): array
    {
        return self::coded($plan, $plan->hopsFrom($endpoint));
    }

    /** @return list<array{hop: Hop, code: KeyCode}> what an end must understand, each code once */
    public static function to(Plan $plan, Endpoint $endpoint): array
    {
        return self::coded($plan, $plan->hopsTo($endpoint));
    }

    /**
     * @param  list<Hop>  $hops
     * @return list<array{hop: Hop, code: KeyCode}>
     */
    private static function coded(Plan $plan, array $hops): array
    {
        $coded = [];
        foreach ($hops as $hop) {
            foreach (LearnedCodes::all($plan, $hop) as $code) {
                $coded[$code->id] ??= ['hop' => $hop, 'code' => $code];
            }
        }

        return array_values($coded);
    }

    /** @return int milliseconds between two sends of an end that leave room for every frame and its gap; 0 when it sends nothing */
    public static function leastIntervalMs(Plan $plan, Endpoint $endpoint, Protocols $protocols): int
    {
        $periods = array_map(static fn (array $sent): int => IrCodes::periodNs($sent['code'], $protocols), self::from($plan, $endpoint));

        return $periods === [] ? 0 : (int) ceil(max($periods) / 1e6);
    }
}
