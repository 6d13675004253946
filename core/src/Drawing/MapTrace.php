<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Routes\Paths;

/** One route's way as it runs through a line map. */
final readonly class MapTrace
{
    /**
     * @param  list<array{linkId: string, from: string, to: string}>  $hops  from node to node
     * @param  array<string, int>  $order  of nodes, from left to right through all bands
     * @param  array{nodeId: string, name: string}  $start  the control
     * @param  array{nodeId: string, name: string}  $end  the output
     */
    private function __construct(private array $hops, private array $order, public array $start, public array $end)
    {
    }

    /** @param  list<string>  $order  ids of nodes, from left to right */
    public static function of(Plan $plan, Route $route, array $order): self
    {
        $hops = [];
        foreach ((new Paths($plan))->hops($route) ?? [] as $hop) {
            $hops[] = ['linkId' => $hop->linkId, 'from' => $plan->endpoint($hop->fromId)->nodeId, 'to' => $plan->endpoint($hop->toId)->nodeId];
        }
        $control = $plan->control($route->controlId);
        $output = $plan->output($route->outputId);

        return new self($hops, array_flip($order), ['nodeId' => $control->nodeId, 'name' => $control->name], ['nodeId' => $output->nodeId, 'name' => $output->name]);
    }

    /** @return list<string> ids of the nodes that pass it on */
    public function passedOnBy(): array
    {
        return array_column(array_slice($this->hops, 1), 'from');
    }

    /** @return array{from: float, to: float}|null where it runs along a line of a band */
    public function along(MapBand $band, MapLine $line): ?array
    {
        $hop = array_values(array_filter($this->hops, static fn (array $hop): bool => $hop['linkId'] === $line->linkId))[0] ?? null;
        $posts = $band->posts;
        if ($hop === null || $posts === []) {
            return null;
        }
        $ends = [$hop['from'], $hop['to']];
        usort($ends, fn (string $one, string $other): int => $this->order[$one] <=> $this->order[$other]);
        [$left, $right] = $ends;
        if ($this->order[$left] > $this->order[$posts[count($posts) - 1]->nodeId] || $this->order[$right] < $this->order[$posts[0]->nodeId]) {
            return null;
        }

        return ['from' => self::x($band, $left) ?? $line->from, 'to' => self::x($band, $right) ?? $line->to];
    }

    /** @return array{x: float, top: float, bottom: float}|null where it changes lines at a node of the band */
    public function down(MapBand $band, string $nodeId): ?array
    {
        $ys = [];
        foreach ($band->lines as $line) {
            foreach ($this->hops as $hop) {
                if ($hop['linkId'] === $line->linkId && ($hop['from'] === $nodeId || $hop['to'] === $nodeId)) {
                    $ys[] = $line->y;
                }
            }
        }
        $x = self::x($band, $nodeId);

        return $x === null || count($ys) < 2 ? null : ['x' => $x, 'top' => min($ys), 'bottom' => max($ys)];
    }

    /** @return list<array{x: float, y: float, name: string}> under the stops where it starts and ends, as far as they are in the band */
    public function labels(MapBand $band): array
    {
        $labels = [];
        foreach ([[$this->start, $this->hops[0] ?? null], [$this->end, $this->hops[count($this->hops) - 1] ?? null]] as [$end, $hop]) {
            $x = self::x($band, $end['nodeId']);
            foreach ($band->lines as $line) {
                if ($x !== null && $line->linkId === ($hop['linkId'] ?? null)) {
                    $labels[] = ['x' => $x, 'y' => $line->y + 21, 'name' => $end['name']];
                }
            }
        }

        return $labels;
    }

    private static function x(MapBand $band, string $nodeId): ?float
    {
        foreach ($band->posts as $post) {
            if ($post->nodeId === $nodeId) {
                return $post->x;
            }
        }

        return null;
    }
}
