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
use Rundfunk\Plan\FusePlace;
use Rundfunk\Plan\Output;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;

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
                Fix::change('Put it into the line, before the contact', $drawn->load, ['fuseAt' => FusePlace::Before->value]),
                about: [$output->id, $drawn->load->id],
            );
        }
    }
}
