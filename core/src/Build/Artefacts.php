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
        $artefacts = [...BehaviourFiles::of($plan, $node, $knowledge), ...SafeSheet::of($plan, $node, $knowledge)];
        foreach ($plan->endpointsOf($node) as $endpoint) {
            $files = $knowledge->media->offering(ExportsFiles::class, $plan->link($endpoint->linkId)->medium);
            $artefacts = [...$artefacts, ...$files?->artefacts($plan, $endpoint, $knowledge) ?? []];
        }

        return self::apart($artefacts);
    }

    /**
     * A node on two links of one medium has two files of a kind: each is asked for by a key of its own.
     *
     * @param  list<Artefact>  $artefacts
     * @return list<Artefact>
     */
    private static function apart(array $artefacts): array
    {
        $seen = [];

        return array_map(static function (Artefact $one) use (&$seen): Artefact {
            $seen[$one->key] = ($seen[$one->key] ?? 0) + 1;

            return $seen[$one->key] === 1 ? $one : new Artefact("{$one->key}-{$seen[$one->key]}", $one->title, $one->fileName, $one->type, $one->content);
        }, $artefacts);
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
