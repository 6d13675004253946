<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\PlanRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\KeyedRadio\KeyedCodes;
use Rundfunk\Medium\KeyedRadio\KeyedRadio;
use Rundfunk\Medium\KeyedRadio\KeyedSettings;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Routes\RouteNames;

/** Two different commands with one code on one frequency. */
#[Finds('keyed-codes-collide', WorkStep::Routes)]
final readonly class CodesCollide implements PlanRule
{
    public function check(Look $look): iterable
    {
        $first = [];
        foreach ($look->plan->linksOver(KeyedRadio::KEY) as $link) {
            $freqKhz = KeyedSettings::of($link)->freqKhz;
            foreach (KeyedCodes::sentOver($look->plan, $link) as ['hop' => $hop, 'bits' => $bits]) {
                $other = $first["{$freqKhz} {$bits->bits}"] ??= $hop;
                if ($other === $hop || ! self::clash($look->plan, $other, $hop)) {
                    continue;
                }
                [$one, $two] = array_map(static fn (Hop $one): string => RouteNames::of($look->plan, $look->plan->route($one->routeId)), [$other, $hop]);
                yield Finding::fault(
                    "{$bits->text()} means two things",
                    Spot::of($hop, "{$two} over {$link->name}", 'code'),
                    "{$one} and {$two} are the same 24 bits on the same frequency: whoever hears one does the other too.",
                    'Set one of the senders to another code and learn it again.',
                    numbers: ['code' => $bits->bits],
                    about: [$other->id, $hop->id],
                );
            }
        }
    }

    /**
     * One control may do two things by one code, two may mean the same by it; and what one of our own senders says twice is a
     * matter of its codes, and said there.
     */
    private static function clash(Plan $plan, Hop $one, Hop $other): bool
    {
        [$first, $second] = [$plan->route($one->routeId), $plan->route($other->routeId)];
        $ofOneSender = $one->fromId === $other->fromId && KeyedCodes::isOurs($plan, $one) && KeyedCodes::isOurs($plan, $other);

        return ! $ofOneSender && $first->controlId !== $second->controlId && ! $first->asksTheSameAs($second);
    }
}
