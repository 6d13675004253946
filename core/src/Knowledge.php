<?php

declare(strict_types=1);

namespace Rundfunk;

use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Medium\Media;
use Rundfunk\Plan\Plan;

/** What the program knows before it sees a plan: the catalogue of hardware and rules of the air, and the media. */
final readonly class Knowledge
{
    public function __construct(public Catalogue $catalogue, public Media $media)
    {
    }

    /** What it knows once it sees a plan: with the classes that the plan itself describes. Whoever begins to look at a plan asks for this. */
    public function of(Plan $plan): self
    {
        $catalogue = $this->catalogue->with($plan);

        return $catalogue === $this->catalogue ? $this : new self($catalogue, $this->media);
    }
}
