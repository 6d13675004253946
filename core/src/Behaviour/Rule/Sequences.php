<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Look;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\ThingKind;

/** Every sequence of a plan, found once a look. */
final readonly class Sequences
{
    /** @param  list<Sequenced>  $all  those that have steps */
    private function __construct(public array $all)
    {
    }

    public static function in(Look $look): self
    {
        return $look->once(self::class, static function () use ($look): self {
            $kinds = $look->plan->things(ThingKind::Output)->column('kind');
            $sequences = $look->plan->pick(Output::class, array_keys($kinds, OutputKind::Sequence, true));

            return new self(array_map(
                static fn (Output $output): Sequenced => Sequenced::of($look->plan, $output),
                array_values(array_filter($sequences, static fn (Output $output): bool => $output->stepIds !== [])),
            ));
        });
    }
}
