<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;
use Rundfunk\Power\Circuits\Contact;
use Rundfunk\Power\Circuits\Drawn;

/** More on a contact or semiconductor than it bears of such loads. */
#[Finds('contact-overloaded', WorkStep::SafeStates)]
final readonly class ContactOverloaded implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $switching = AllLoads::in($look)->classOf($output)?->switches;
        $loads = AllLoads::in($look)->on($output);
        $share = $switching === null || $loads === [] ? 0.0 : (new Contact($switching))->share($loads);
        if ($switching === null || $share <= 1.0 + 1e-9) {
            return [];
        }
        $contact = new Contact($switching);
        $sums = array_map(static fn (Drawn $drawn): string => Figures::significant($drawn->amperes ?? 0.0).' A '.$drawn->load->sort->words().' of '.Figures::significant($contact->mostA($drawn)).' A', $loads);

        return [Finding::of(
            $output->isDangerous() ? Severity::Danger : Severity::Fault,
            "{$output->name} switches more than its {$switching->by->words()} bears",
            At::output($look, $output),
            implode(', ', $sums).': '.Figures::significant($share * 100).' % together. The '.Figures::significant($switching->ratedA).' A that are printed are for resistive loads; what arcs or starts with a surge wears, and welds.',
            'A contactor between, a larger relay, or fewer things on this output.',
            numbers: ['share' => round($share, 3)],
        )];
    }
}
