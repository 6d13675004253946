<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Rule;

use Rundfunk\Check\Look;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;

/** Every sequence of a plan, found once a look. */
final readonly class Sequences
{
    /** @param  list<Sequenced>  $all  those that have steps */
    private function __construct(public array $all)
    {
    }

    public static function in(Look $look): self
    {
        return $look->once(self::class, static fn (): self => new self(array_map(
            static fn (Output $output): Sequenced => Sequenced::of($look->plan, $output),
            array_values(array_filter($look->plan->outputs(), static fn (Output $output): bool => $output->kind === OutputKind::Sequence && $output->stepIds !== [])),
        )));
    }
}
