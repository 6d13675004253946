<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Medium\Artefact;
use Rundfunk\Medium\ExportsFiles;
use Rundfunk\Medium\Media;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** Every file that a node's links have for it, beyond its wiring table and header. */
final readonly class Artefacts
{
    /** @return list<Artefact> */
    public static function of(Plan $plan, Node $node, Media $media): array
    {
        $artefacts = [];
        foreach ($plan->endpointsOf($node) as $endpoint) {
            $medium = $media->named($plan->link($endpoint->linkId)->medium);
            $artefacts = [...$artefacts, ...($medium instanceof ExportsFiles ? $medium->artefacts($plan, $endpoint) : [])];
        }

        return $artefacts;
    }

    /** @throws NoSuchArtefact */
    public static function named(Plan $plan, Node $node, Media $media, string $key): Artefact
    {
        $keys = [];
        foreach (self::of($plan, $node, $media) as $artefact) {
            if ($artefact->key === $key) {
                return $artefact;
            }
            $keys[] = $artefact->key;
        }
        throw NoSuchArtefact::of($node, $key, $keys);
    }
}
