<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** Every file that a node has beyond its wiring table and header: its behaviour, and what its links have for it. */
final readonly class Artefacts
{
    /** @return list<Artefact> */
    public static function of(Plan $plan, Node $node, Knowledge $knowledge): array
    {
        $knowledge = $knowledge->of($plan);
        $artefacts = BehaviourFiles::of($plan, $node, $knowledge);
        foreach ($plan->endpointsOf($node) as $endpoint) {
            $files = $knowledge->media->offering(ExportsFiles::class, $plan->link($endpoint->linkId)->medium);
            $artefacts = [...$artefacts, ...$files?->artefacts($plan, $endpoint, $knowledge) ?? []];
        }

        return $artefacts;
    }

    /** @throws NoSuchArtefact */
    public static function named(Plan $plan, Node $node, Knowledge $knowledge, string $key): Artefact
    {
        $keys = [];
        foreach (self::of($plan, $node, $knowledge) as $artefact) {
            if ($artefact->key === $key) {
                return $artefact;
            }
            $keys[] = $artefact->key;
        }
        throw NoSuchArtefact::of($node, $key, $keys);
    }
}
