<?php

declare(strict_types=1);

namespace Rundfunk\View;

use JsonSerializable;
use Rundfunk\Medium\Media;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** The line map: links as lines, nodes as posts, in an order that keeps lines short and posts from crossing lines they are not on. */
final readonly class LineMap implements JsonSerializable
{
    /**
     * @param  list<array{nodeId: string, placeId: string|null}>  $posts  from left to right
     * @param  list<array{linkId: string, form: string, mediumKey: string, medium: string, stops: list<array{endpointId: string, nodeId: string, mark: string|null}>}>  $lines  from top to bottom, stops from left to right
     */
    private function __construct(public array $posts, public array $lines)
    {
    }

    public static function of(Plan $plan, Media $media): self
    {
        $order = PostOrder::of($plan);
        $place = array_flip(array_map(static fn (Node $node): string => $node->id, $order));
        $lines = [];
        foreach ($plan->links() as $link) {
            $medium = $media->named($link->medium);
            $marks = $media->offering(MarksStops::class, $link->medium);
            $ends = $plan->endpointsOn($link);
            usort($ends, static fn (Endpoint $a, Endpoint $b): int => $place[$a->nodeId] <=> $place[$b->nodeId]);
            $lines[] = [
                'linkId' => $link->id,
                'form' => $medium->form()->value,
                'mediumKey' => $medium->key(),
                'medium' => $medium->name(),
                'stops' => array_map(static fn (Endpoint $end): array => [
                    'endpointId' => $end->id,
                    'nodeId' => $end->nodeId,
                    'mark' => $marks?->mark($plan, $end),
                ], $ends),
            ];
        }

        return new self(array_map(static fn (Node $node): array => ['nodeId' => $node->id, 'placeId' => $node->placeId], $order), $lines);
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return ['posts' => $this->posts, 'lines' => $this->lines];
    }
}
