<?php

declare(strict_types=1);

namespace Rundfunk\Assign;

use Rundfunk\Medium\Media;
use Rundfunk\Medium\Proposes;

/** Every step: those of no medium in particular here, then what each medium brings. */
final readonly class Steps
{
    /** @return list<Step> */
    public static function all(Media $media): array
    {
        $steps = [new SupplyStep, new AttachmentStep, new PathStep, new CodeStep, new ChannelStep, new PinStep];
        foreach ($media->all() as $medium) {
            if ($medium instanceof Proposes) {
                $steps = [...$steps, ...$medium->steps()];
            }
        }

        return $steps;
    }
}
