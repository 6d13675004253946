<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;
use Rundfunk\Power\Circuits\Drawn;

/** One contact, and what hangs on it is fed from two sides. */
#[Finds('contact-joins-circuits', WorkStep::SafeStates)]
final readonly class ContactJoinsCircuits implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $feeds = [];
        foreach (AllLoads::in($look)->on($output) as $drawn) {
            $feed = $drawn->load->circuitId ?? $drawn->load->supplyId;
            if ($feed !== null) {
                $feeds[$feed] ??= $drawn;
            }
        }
        if (count($feeds) < 2 || AllLoads::in($look)->classOf($output)?->switches === null) {
            return [];
        }
        [$one, $other] = array_values($feeds);
        $mains = array_filter($feeds, static fn (Drawn $drawn): bool => $drawn->isDangerous()) !== [];

        return [Finding::of(
            $mains ? Severity::Danger : Severity::Fault,
            "{$output->name} switches {$one->load->name} and {$other->load->name}, which are fed by two circuits",
            At::output($look, $output),
            'A contact has one line in and one out: wired so it joins the two circuits, and what one fuse has cut off the other feeds.',
            'An output for each, worked by the same route or by a group; or both on one circuit.',
            about: [$output->id, $one->load->id, $other->load->id],
        )];
    }
}
