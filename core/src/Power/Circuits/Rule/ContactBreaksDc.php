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

/** Direct current at a voltage that no such contact or transistor breaks. */
#[Finds('contact-breaks-dc', WorkStep::SafeStates)]
final readonly class ContactBreaksDc implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $switching = AllLoads::in($look)->classOf($output)?->switches;
        if ($switching === null) {
            return;
        }
        foreach (AllLoads::in($look)->on($output) as $drawn) {
            if (! $drawn->direct || $drawn->volts === null || $switching->by === SwitchedBy::Triac || $drawn->volts <= ($switching->dcV ?? 0.0) + 1e-9) {
                continue;
            }
            // Above what is printed a contact bears a tenth: as long as that is not too much it is no fault.
            if ($switching->by->isContact() && $drawn->volts <= Contact::MOST_DC_V + 1e-9 && ($drawn->amperes ?? 0.0) <= (new Contact($switching))->mostA($drawn) + 1e-9) {
                continue;
            }

            yield Finding::danger(
                "{$output->name} breaks ".Figures::significant($drawn->volts).' V of direct current, which its '.$switching->by->words().' cannot',
                At::load($look, $drawn->load),
                'It is made for '.Figures::significant($switching->dcV ?? 0.0).' V of direct current. No zero puts the arc out: it burns on between the open contacts, and a transistor breaks through.',
                'A contactor or transistor that is made for that voltage, with a fuse of the same.',
                numbers: ['volts' => $drawn->volts, 'dc_v' => $switching->dcV ?? 0.0],
                about: [$output->id, $drawn->load->id],
            );
        }
    }
}
