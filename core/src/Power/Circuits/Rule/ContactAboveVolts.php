<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Catalogue\SwitchedBy;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;
use Rundfunk\Power\Circuits\Contact;

/** Alternating current of more volts than a small relay keeps apart, however little flows. */
#[Finds('contact-above-volts', WorkStep::SafeStates)]
final readonly class ContactAboveVolts implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $switching = AllLoads::in($look)->classOf($output)?->switches;
        // A transistor on alternating current is another finding, whatever the volts.
        if ($switching === null || $switching->by === SwitchedBy::Transistor) {
            return;
        }
        foreach (AllLoads::in($look)->on($output) as $drawn) {
            if (! $drawn->direct && $drawn->volts > Contact::MOST_AC_V + 1e-9) {
                yield Finding::danger(
                    "{$output->name} switches ".Figures::significant($drawn->volts)." V, and its {$switching->by->words()} is made for ".Figures::significant(Contact::MOST_AC_V),
                    At::load($look, $drawn->load),
                    'Its gaps and its insulation are made for that and no more: it strikes through between the contacts, or to the coil and the board that you touch.',
                    'A contactor for that voltage, installed by an electrician; the relay switches its coil.',
                    numbers: ['volts' => $drawn->volts, 'most_v' => Contact::MOST_AC_V],
                    about: [$output->id, $drawn->load->id],
                );
            }
        }
    }
}
