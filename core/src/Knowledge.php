<?php

declare(strict_types=1);

namespace Rundfunk;

use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Medium\Media;

/** What the program knows before it sees a plan: the catalogue of hardware and rules of the air, and the media. */
final readonly class Knowledge
{
    public function __construct(public Catalogue $catalogue, public Media $media)
    {
    }
}
