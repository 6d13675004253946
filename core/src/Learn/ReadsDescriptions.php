<?php

declare(strict_types=1);

namespace Rundfunk\Learn;

use Rundfunk\Learn\Shown\DescriptionShown;

/** A medium whose messages others have described in a file. */
interface ReadsDescriptions
{
    /** @throws LearningRefused */
    public function described(string $text): DescriptionShown;
}
