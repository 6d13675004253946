<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Electrical\CircuitFuse;
use Rundfunk\Figures;
use Rundfunk\Plan\FusePlace;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;
use Rundfunk\Power\Circuits\Drawn;

/** A fuse behind the contact, or in the neutral. */
#[Finds('fuse-misplaced', WorkStep::SafeStates)]
final readonly class FuseMisplaced implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        foreach (AllLoads::in($look)->on($output) as $drawn) {
            if ($drawn->load->fuseA === null || $drawn->load->fuseAt === FusePlace::Before) {
                continue;
            }
            $neutral = $drawn->load->fuseAt === FusePlace::Neutral;

            yield Finding::of(
                $neutral && $drawn->isDangerous() ? Severity::Danger : Severity::Warning,
                $neutral ? "The fuse of {$drawn->load->name} is in the neutral" : "The fuse of {$drawn->load->name} is behind the contact",
                At::load($look, $drawn->load, 'fuseAt'),
                $neutral ? 'When it blows the thing is dead, and live all the same: whoever opens it takes hold of the line.' : 'A fault in the board itself, a screw across its tracks, no fuse of its own sees.',
                'In the line, before the contact.',
                self::before($drawn, AllLoads::in($look)->mostFuseA($drawn)),
                about: [$output->id, $drawn->load->id],
            );
        }
    }

    /** There the contact is behind it: where it is larger than that bears, a smaller one goes in; where the load blows that, another contact is wanted first. */
    private static function before(Drawn $drawn, ?float $most): ?Fix
    {
        $place = ['fuseAt' => FusePlace::Before->value];
        if ($most === null || $drawn->load->fuseA <= $most + 1e-9) {
            return Fix::change('Put it into the line, before the contact', $drawn->load, $place);
        }
        $fuse = $drawn->amperes === null ? null : CircuitFuse::for($drawn->amperes);

        return $fuse === null || ! $fuse->saves($most) ? null : Fix::change('Put one of '.Figures::significant((float) $fuse->ratedA).' A into the line, before the contact', $drawn->load, [...$place, 'fuseA' => $fuse->ratedA]);
    }
}
