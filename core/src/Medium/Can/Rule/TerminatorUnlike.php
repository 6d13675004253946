<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Can\CanEnd;
use Rundfunk\Medium\Can\Termination;

/** A resistor of another value than is meant. */
#[Finds('can-terminator-unlike', WorkStep::Links)]
final readonly class TerminatorUnlike implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $settings = $end->link->medium === Can::KEY ? CanEnd::of($look->plan, $end->endpoint) : null;
        if ($settings === null || ! $settings->terminated || abs($settings->terminatorOhm - Termination::MEANT_OHM) < 6) {
            return [];
        }
        $grave = $settings->terminatorOhm < 90 || $settings->terminatorOhm > 150;

        return [Finding::of(
            $grave ? Severity::Warning : Severity::Advice,
            "{$end->node->name} ends {$end->link->name} with {$settings->terminatorOhm} Ω; 120 are meant",
            $end->at('terminatorOhm'),
            'The cable has 120 Ω: what is otherwise sends back a part of every edge. 100 Ω do on a short bus.',
            'Put 120 Ω there.',
            Fix::change("120 Ω at {$end->node->name}", $end->endpoint, ['settings' => ['terminatorOhm' => 120]]),
            numbers: ['ohm' => $settings->terminatorOhm],
            about: [$end->endpoint->id],
        )];
    }
}
