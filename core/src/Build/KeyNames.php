<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Frame\FrameProof;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\CNames;
use Rundfunk\Text\UniqueNames;

/** How the keys of links are called: by the plan, and not by each node, for all ends of a link must mean the same one. */
final readonly class KeyNames
{
    /** @return array<string, string> by id of each link whose messages prove themselves */
    public static function of(Plan $plan, Knowledge $knowledge): array
    {
        $names = new UniqueNames;
        $keys = [];
        foreach ($plan->links() as $link) {
            $layout = $knowledge->media->offering(FramesMessages::class, $link->medium)?->layout($plan, $link);
            if ($layout !== null && FrameProof::of($layout) !== null) {
                $keys[$link->id] = $names->name(CNames::upper($link->name)).'_KEY';
            }
        }

        return $keys;
    }
}
