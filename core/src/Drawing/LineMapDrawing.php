<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

use Rundfunk\Medium\LineForm;
use Rundfunk\Medium\Media;
use Rundfunk\Plan\Place;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\ThingKind;

/**
 * The line map, drawn. The names of nodes and links, for a page to make links of them, and the stops bear ids: "node-…",
 * "link-…" with the number of the band, "end-…".
 */
final readonly class LineMapDrawing
{
    /** So many letters of a node's name stand on one row. */
    private const LETTERS_OF_POST = 11;

    /** So many letters of a link's name stand left of its line. */
    private const LETTERS_OF_LINE = 20;

    /** How wide it is printed, px: 210 mm less margins, at 96 to the inch. */
    private const PRINTED = 720;

    private function __construct(private Plan $plan, public LineMap $map, private Ink $ink, private ?MapTrace $trace = null)
    {
    }

    /** Drawn for a page of so many pixels. */
    public static function on(int $width, Plan $plan, Media $media, Ink $ink, string $routeId = ''): self
    {
        $map = (new LineMapLayout($plan, $media))->on($width);
        $route = $plan->find(ThingKind::Route, $routeId);

        return new self($plan, $map, $ink, $route instanceof Route ? MapTrace::of($plan, $route, $map->order) : null);
    }

    /** @return string a file for an upright page */
    public static function toPrint(Plan $plan, Media $media, string $routeId = ''): string
    {
        return self::on(self::PRINTED, $plan, $media, Ink::Paper, $routeId)->file();
    }

    /** @return list<string> each band by itself, without the svg element around it */
    public function bands(): array
    {
        return array_map($this->band(...), $this->map->bands, array_keys($this->map->bands));
    }

    /** All bands below each other, as a file that stands alone. */
    public function file(): string
    {
        $top = 0.0;
        $parts = [];
        foreach ($this->bands() as $at => $band) {
            $parts[] = Svg::element('g', ['transform' => "translate(0 {$top})"], $band);
            $top += $this->map->bands[$at]->height;
        }

        return Svg::file($this->map->bands[0]->width ?? 0.0, $top, 'Line map of '.$this->plan->properties->name, ...$parts);
    }

    private function band(MapBand $band, int $at): string
    {
        return implode('', [
            ...array_map(fn (MapPlace $place): string => $this->place($place), $band->places),
            ...array_map(fn (MapPost $post): string => $this->post($post), $band->posts),
            ...$this->traced($band),
            ...array_map(fn (MapBar $bar): string => $this->bar($band, $bar), $band->bars),
            // What most of its texts are, is said once: a large plan has thousands of lines in its bands.
            Svg::element('g', ['font-size' => 13, 'fill' => $this->ink->soft()], ...array_map(fn (MapLine $line): string => $this->line($line, $at), $band->lines)),
            ...array_map(fn (array $label): string => $this->onLine($label['x'], $label['y'], $label['name'], ['text-anchor' => 'middle', 'font-size' => 13, 'font-weight' => 600, 'fill' => $this->ink->ink()]), $this->trace?->labels($band) ?? []),
        ]);
    }

    private function place(MapPlace $place): string
    {
        $found = $place->placeId === null ? null : $this->plan->find(ThingKind::Place, $place->placeId);
        $room = (int) floor(($place->to - $place->from + 104) / 6);

        return Svg::element('path', ['d' => 'M'.($place->from - 30).' 26v-6H'.($place->to + 30).'v6', 'fill' => 'none', 'stroke' => $this->ink->soft()])
            .Svg::element('text', ['x' => ($place->from + $place->to) / 2, 'y' => 13, 'text-anchor' => 'middle', 'font-size' => 13, 'fill' => $this->ink->soft()],
                Svg::text(Fitted::onOne($found instanceof Place ? $found->name : 'Nowhere yet', $room)));
    }

    private function post(MapPost $post): string
    {
        $name = $this->plan->node($post->nodeId)->name;
        $rows = [];
        foreach (Fitted::onTwoLines($name, self::LETTERS_OF_POST) as $row => $part) {
            $rows[] = Svg::element('tspan', ['x' => $post->x, 'y' => 48 + $row * 16], Svg::text($part));
        }

        return Svg::element('path', ['d' => Svg::down($post->x, LineMapLayout::TOP + 4, $post->bottom), 'stroke' => $this->ink->rule()])
            .Svg::element('a', ['id' => "node-{$post->nodeId}", 'aria-label' => $name],
                Svg::element('text', ['text-anchor' => 'middle', 'font-size' => 14, 'font-weight' => 500, 'fill' => $this->ink->ink()], ...$rows));
    }

    /** @return list<string> the followed path: under the lines, and down the posts where it changes lines */
    private function traced(MapBand $band): array
    {
        $paths = [];
        foreach ($this->trace?->passedOnBy() ?? [] as $nodeId) {
            $down = $this->trace?->down($band, $nodeId);
            $paths[] = $down === null ? '' : $this->stroke(Svg::down($down['x'], $down['top'], $down['bottom']), $this->ink->trace(), 26);
        }
        foreach ($band->lines as $line) {
            $along = $this->trace?->along($band, $line);
            $paths[] = $along === null ? '' : $this->stroke(Svg::across($along['from'], $line->y, $along['to']), $this->ink->trace(), 18);
        }

        return $paths;
    }

    private function stroke(string $path, string $colour, int $width): string
    {
        return Svg::element('path', ['d' => $path, 'stroke' => $colour, 'stroke-width' => $width, 'stroke-linecap' => 'round', 'class' => 'traced']);
    }

    private function bar(MapBand $band, MapBar $bar): string
    {
        $passed = in_array($bar->nodeId, $this->trace?->passedOnBy() ?? [], true) ? $this->trace->down($band, $bar->nodeId) : null;

        return Svg::element('rect', ['x' => $bar->x - 9, 'y' => $bar->top - 9, 'width' => 18, 'height' => $bar->bottom - $bar->top + 18, 'rx' => 5, 'fill' => $this->ink->sheet(), 'stroke' => $this->ink->ink(), 'stroke-width' => 2])
            .($passed === null ? '' : Svg::element('rect', ['x' => $bar->x - 8, 'y' => $passed['top'] - 8, 'width' => 16, 'height' => $passed['bottom'] - $passed['top'] + 16, 'rx' => 4, 'fill' => $this->ink->trace()]));
    }

    private function line(MapLine $line, int $band): string
    {
        $hue = $this->ink->medium($line->mediumKey);
        $name = $this->plan->link($line->linkId)->name;
        $shown = Fitted::onOne($name, self::LETTERS_OF_LINE);
        $path = Svg::across($line->from, $line->y, $line->to);

        return Svg::element('a', ['id' => "link-{$line->linkId}-{$band}", 'aria-label' => $shown === $name ? null : $name],
            Svg::element('text', ['y' => $line->y - 2, 'font-size' => 15, 'font-weight' => 600, 'fill' => $this->ink->ink()], Svg::text($shown)))
            .Svg::element('text', ['y' => $line->y + 15, 'fill' => $hue], Svg::text($line->medium))
            .Svg::element('path', ['d' => $path, 'stroke' => $hue, 'stroke-width' => $line->form === LineForm::Double ? 6 : 4, 'stroke-dasharray' => self::dashes($line->form), 'stroke-linecap' => $line->form === LineForm::Dotted ? 'round' : null])
            .($line->form === LineForm::Double ? Svg::element('path', ['d' => $path, 'stroke' => $this->ink->paper(), 'stroke-width' => 2]) : '')
            .($line->stops === [] && ! $line->fromBefore ? self::beside($line, LineMapLayout::LABELS, 'nobody on it yet') : '')
            .($line->fromBefore ? self::beside($line, LineMapLayout::LABELS - 20, '‹') : '')
            .($line->toAfter ? self::beside($line, $line->to + 4, '›') : '')
            .implode('', array_map(fn (MapStop $stop): string => $this->stop($stop, $line, $hue), $line->stops));
    }

    private static function beside(MapLine $line, float $x, string $text): string
    {
        return Svg::element('text', ['x' => $x, 'y' => $line->y + 5], Svg::text($text));
    }

    private function stop(MapStop $stop, MapLine $line, string $hue): string
    {
        return Svg::element('rect', ['id' => "end-{$stop->endpointId}", 'x' => $stop->x - 5.5, 'y' => $line->y - 5.5, 'width' => 11, 'height' => 11, 'rx' => 2, 'fill' => $this->ink->sheet(), 'stroke' => $hue, 'stroke-width' => 2.5])
            .($stop->mark === null ? '' : $this->onLine($stop->x + 12, $line->y - 10, $stop->mark, ['class' => 'mono', 'font-size' => 12, 'fill' => $this->ink->soft()]));
    }

    /**
     * Text that stands on a line, with paper around its letters.
     *
     * @param  array<string, string|int>  $how
     */
    private function onLine(float $x, float $y, string $text, array $how): string
    {
        return Svg::element('text', ['x' => $x, 'y' => $y, ...$how, 'stroke' => $this->ink->paper(), 'stroke-width' => 4, 'paint-order' => 'stroke'], Svg::text($text));
    }

    private static function dashes(LineForm $form): ?string
    {
        return match ($form) {
            LineForm::Dashed => '12 6',
            LineForm::Dotted => '2 6',
            LineForm::DashDot => '14 5 2 5',
            LineForm::Solid, LineForm::Double => null,
        };
    }
}
