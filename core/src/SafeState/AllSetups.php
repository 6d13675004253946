<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

use Rundfunk\Check\Look;
use Rundfunk\Plan\Output;

/** The set-ups of a plan's outputs, each worked out once a look. */
final class AllSetups
{
    private readonly Setups $setups;

    /** @var array<string, Setup|null> by output */
    private array $known = [];

    public function __construct(Look $look)
    {
        $this->setups = new Setups($look);
    }

    public function of(Output $output): ?Setup
    {
        if (! array_key_exists($output->id, $this->known)) {
            $this->known[$output->id] = $this->setups->of($output);
        }

        return $this->known[$output->id];
    }
}
