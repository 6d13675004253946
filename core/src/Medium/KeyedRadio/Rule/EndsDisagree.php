<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Shape\Values;
use Rundfunk\Plan\ThingKind;

/** An end that is known to be tuned to another frequency than its link. */
final readonly class EndsDisagree extends KeyedRule implements LooksNearby
{
    public function key(): string
    {
        return 'keyed-ends-disagree';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::links($plan) as ['link' => $link, 'settings' => $settings]) {
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $own = (new Values($endpoint->settings))->wholeOrNull('freqKhz');
                if ($own === null || $own === $settings->freqKhz) {
                    continue;
                }
                $name = $plan->node($endpoint->nodeId)->name;
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "{$name} is tuned to ".Figures::significant($own / 1000)." MHz, {$link->name} to ".Figures::significant($settings->freqMhz()),
                    Subject::of($endpoint, "{$name} on {$link->name}", 'freqKhz'),
                    ['here_khz' => $own, 'link_khz' => $settings->freqKhz],
                    'The parts look alike but for what is stamped on the crystal. Silence, not an error, is what you would see.',
                    'Take parts of one frequency.',
                    new Fix('It is tuned as the link', Operation::change(ThingKind::Endpoint, $endpoint->id, ['settings' => ['freqKhz' => null]])),
                );
            }
        }
    }
}
