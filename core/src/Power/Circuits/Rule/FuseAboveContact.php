<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Catalogue\SwitchedBy;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Electrical\CircuitFuse;
use Rundfunk\Figures;
use Rundfunk\Plan\FusePlace;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;

/** A fuse that holds longer than the contact or semiconductor behind it. */
#[Finds('fuse-above-contact', WorkStep::SafeStates)]
final readonly class FuseAboveContact implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $switching = AllLoads::in($look)->classOf($output)?->switches;
        if ($switching === null) {
            return;
        }
        foreach (AllLoads::in($look)->on($output) as $drawn) {
            $most = AllLoads::in($look)->mostFuseA($drawn);
            $triac = $switching->by === SwitchedBy::Triac;
            // A time-lag fuse lets a semiconductor go first, however small it is.
            $has = AllLoads::in($look)->fuseBeforeA($drawn, $triac) ?? ($triac ? AllLoads::in($look)->fuseBeforeA($drawn) : null);
            $slow = $triac && AllLoads::in($look)->fuseBeforeA($drawn, true) === null;
            if ($most === null || $has === null || ($has <= $most + 1e-9 && ! $slow) || $drawn->amperes === null) {
                continue;
            }
            $fuse = CircuitFuse::for($drawn->amperes);
            $right = $fuse->saves($most) ? $fuse->ratedA : null;

            yield Finding::fault(
                $slow && $has <= $most + 1e-9 ? "The fuse before {$output->name} is slower than its {$switching->by->words()} dies" : "The fuse before {$output->name} is larger than its {$switching->by->words()} bears",
                At::load($look, $drawn->load, 'fuseA'),
                Figures::significant($has).' A, and it bears '.Figures::significant($most).' A: in a short circuit the '.($switching->by->isContact() ? 'contact welds and the load stays on' : 'semiconductor goes first, and goes shorted').'.',
                'A fuse of its own in the line before it'.($switching->by->isContact() ? '' : ', a fast one').'. It saves the wiring and, with luck, the contact; a weld it does not prevent.',
                $right === null ? null : Fix::change('A fuse of '.Figures::significant($right).' A before it', $drawn->load, ['fuseA' => $right, 'fuseAt' => FusePlace::Before->value]),
                numbers: ['fuse_a' => $has, 'most_a' => $most, 'right_a' => $right],
                about: [$output->id, $drawn->load->id],
            );
        }
    }
}
