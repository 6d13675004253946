<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

use Rundfunk\Links\RidesOn;
use Rundfunk\Medium\Media;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;

/** Where posts and lines of the line map lie on the page. All lengths in pixels. */
final readonly class LineMapLayout
{
    /** Room for the names of lines, left of the posts. */
    public const LABELS = 150;

    /** Where posts begin, below their names. */
    public const TOP = 70;

    private const ROW = 54;

    /** More room between posts of different places. */
    private const GAP = 14;

    /** Posts never stand closer than this. */
    private const CLOSEST = 76;

    private const WIDEST_SPACING = 110;

    /** @var list<Node> from left to right */
    private array $order;

    /** @var array<string, int> by node */
    private array $place;

    public function __construct(private Plan $plan, private Media $media)
    {
        $this->order = PostOrder::of($plan);
        $this->place = array_flip(array_map(static fn (Node $node): string => $node->id, $this->order));
    }

    public function on(int $pageWidth): LineMap
    {
        // A band of three posts is the narrowest of use: on a narrower page it is drawn smaller.
        $width = max($pageWidth, self::LABELS + 40 + 3 * self::CLOSEST + 2 * self::GAP);
        $folded = $this->folded(intdiv($width - self::LABELS - 30, self::CLOSEST));
        $bands = [];
        foreach ($folded as $at => $posts) {
            $bands[] = $this->band($posts, $at > 0, $at < count($folded) - 1, $width);
        }

        return new LineMap($bands, array_map(static fn (Node $node): string => $node->id, $this->order));
    }

    /** @return list<list<Node>> parted between places where that leaves a band more than half full */
    private function folded(int $most): array
    {
        $bands = [];
        $rest = $this->order;
        while (count($rest) > $most) {
            $cut = $most;
            while ($cut > $most / 2 && $rest[$cut]->placeId === $rest[$cut - 1]->placeId) {
                $cut--;
            }
            $cut = $cut > $most / 2 ? $cut : $most;
            $bands[] = array_slice($rest, 0, $cut);
            $rest = array_slice($rest, $cut);
        }

        return [...$bands, $rest];
    }

    /** @param  list<Node>  $posts */
    private function band(array $posts, bool $more, bool $further, int $width): MapBand
    {
        $spacing = min(self::WIDEST_SPACING, max(self::CLOSEST, ($width - self::LABELS - 40) / max(1, count($posts))));
        $xs = self::across($posts, $spacing);
        $first = $posts === [] ? 0 : $this->place[$posts[0]->id];
        $right = ($xs === [] ? self::LABELS : max($xs)) + $spacing / 2;
        $lines = [];
        foreach ($this->plan->links() as $link) {
            $line = $this->line($link, $xs, $first, count($posts), $more, $further, $right, self::TOP + 34 + count($lines) * self::ROW);
            if ($line !== null) {
                $lines[] = $line;
            }
        }
        $touched = self::touched($lines);

        return new MapBand(
            array_map(static fn (Node $node): MapPost => new MapPost($node->id, $node->placeId, $xs[$node->id], ($touched[$node->id] ?? []) === [] ? self::TOP : max($touched[$node->id])), $posts),
            self::places($posts, $xs),
            $lines,
            self::bars($posts, $xs, $touched),
            $width,
            self::TOP + 30 + max(1, count($lines)) * self::ROW,
        );
    }

    /**
     * @param  list<Node>  $posts
     * @return array<string, float> by node
     */
    private static function across(array $posts, float $spacing): array
    {
        $x = self::LABELS + $spacing / 2;
        $xs = [];
        foreach ($posts as $at => $node) {
            $x += $at === 0 ? 0 : $spacing + ($node->placeId === $posts[$at - 1]->placeId ? -self::GAP / 2 : self::GAP / 2);
            $xs[$node->id] = round($x, 1);
        }

        return $xs;
    }

    /**
     * @param  array<string, float>  $xs  of the band's posts
     * @return MapLine|null null where the line does not come through the band
     */
    private function line(Link $link, array $xs, int $first, int $count, bool $more, bool $further, float $right, float $y): ?MapLine
    {
        $ends = $this->plan->endpointsOn($link);
        usort($ends, fn (Endpoint $a, Endpoint $b): int => $this->place[$a->nodeId] <=> $this->place[$b->nodeId]);
        $places = array_map(fn (Endpoint $end): int => $this->place[$end->nodeId], $ends);
        $last = $first + $count - 1;
        $leftmost = $places[0] ?? 0;
        $rightmost = $places[count($places) - 1] ?? 0;
        $fromBefore = $places !== [] && $more && $leftmost < $first && $rightmost >= $first;
        $toAfter = $places !== [] && $further && $rightmost > $last && $leftmost <= $last;
        $marks = $this->media->offering(MarksStops::class, $link->medium);
        $stops = [];
        foreach ($ends as $end) {
            if (isset($xs[$end->nodeId])) {
                $stops[] = new MapStop($end->id, $end->nodeId, $marks?->mark($this->plan, $end), $xs[$end->nodeId]);
            }
        }
        if ($stops === [] && ! ($fromBefore && $toAfter) && ($ends !== [] || $more)) {
            return null;
        }
        $medium = $this->media->named($link->medium);
        // What goes over another medium's parts is drawn as that.
        $over = $this->media->offering(RidesOn::class, $link->medium)?->ridesOn($link);
        $form = $over === null ? $medium->form() : $this->media->named($over)->form();

        return new MapLine(
            $link->id, $form, $medium->key(), $medium->name(), $y,
            $fromBefore ? self::LABELS - 8 : $stops[0]->x ?? self::LABELS,
            $toAfter ? $right : $stops[count($stops) - 1]->x ?? self::LABELS,
            $fromBefore, $toAfter, $stops,
        );
    }

    /**
     * @param  list<Node>  $posts
     * @param  array<string, float>  $xs
     * @return list<MapPlace>
     */
    private static function places(array $posts, array $xs): array
    {
        $places = [];
        foreach ($posts as $at => $node) {
            $goesOn = $at > 0 && $posts[$at - 1]->placeId === $node->placeId;
            $from = $goesOn ? array_pop($places)->from ?? 0.0 : $xs[$node->id];
            $places[] = new MapPlace($node->placeId, $from, $xs[$node->id]);
        }

        return $places;
    }

    /**
     * @param  list<MapLine>  $lines
     * @return array<string, list<float>> where lines meet each post, from top to bottom
     */
    private static function touched(array $lines): array
    {
        $touched = [];
        foreach ($lines as $line) {
            foreach (array_unique(array_map(static fn (MapStop $stop): string => $stop->nodeId, $line->stops)) as $nodeId) {
                $touched[$nodeId][] = $line->y;
            }
        }

        return $touched;
    }

    /**
     * @param  list<Node>  $posts
     * @param  array<string, float>  $xs
     * @param  array<string, list<float>>  $touched
     * @return list<MapBar>
     */
    private static function bars(array $posts, array $xs, array $touched): array
    {
        $bars = [];
        foreach ($posts as $node) {
            $ys = $touched[$node->id] ?? [];
            if (count($ys) > 1) {
                $bars[] = new MapBar($node->id, $xs[$node->id], min($ys), max($ys));
            }
        }

        return $bars;
    }
}
