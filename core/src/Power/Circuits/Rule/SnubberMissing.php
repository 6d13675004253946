<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\PartKind;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\At;
use Rundfunk\Power\Circuits\Parts;

/** A coil or motor on alternating current, and nothing quiets the contact that breaks it. */
#[Finds('snubber-missing', WorkStep::SafeStates)]
final readonly class SnubberMissing implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $class = AllLoads::in($look)->classOf($output);
        foreach ($class?->switches?->by->isContact() !== true || $output->moduleId === null ? [] : AllLoads::in($look)->on($output) as $drawn) {
            if ($drawn->direct || $drawn->circuit === null || ! in_array($drawn->load->sort, [LoadKind::Motor, LoadKind::Inductive], true) || Parts::has($look, $output, PartKind::Snubber)) {
                continue;
            }

            yield Finding::warning(
                "{$output->name} draws an arc when {$drawn->load->name} goes off",
                At::load($look, $drawn->load),
                'The arc wears the contact and is a transmitter of all frequencies: boards beside it reset, receivers hear nothing.',
                'A snubber of 100 Ω and 0.1 µF, made for the mains, across the contact. It lets half a milliampere through while the contact is open.',
                new Fix('A snubber across its contact', Parts::add($look, $output, PartKind::Snubber)),
                about: [$output->id, $drawn->load->id],
            );
        }
    }
}
