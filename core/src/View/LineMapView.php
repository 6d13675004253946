<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Drawing\Ink;
use Rundfunk\Drawing\LineMapDrawing;
use Rundfunk\Drawing\MapBand;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\View\Shown\DrawnBand;
use Rundfunk\View\Shown\LineMapBands;

/** The whole network as a line map, laid out for a page of so many pixels. */
final readonly class LineMapView implements View
{
    private const USUAL = 820;

    private const NARROWEST = 200;

    private const WIDEST = 4_000;

    public function key(): string
    {
        return 'line-map';
    }

    public function owner(): null
    {
        return null;
    }

    public function shape(): string
    {
        return LineMapBands::class;
    }

    /** @param  string  $of  the width of the page, px, the usual one when it is none; and, after a space, the id of a route to follow */
    public function of(string $of, Plan $plan, Knowledge $knowledge): LineMapBands
    {
        [$wide, $routeId] = [...explode(' ', $of, 2), ''];
        $width = preg_match('/^\d{1,5}$/D', $wide) === 1 ? max(self::NARROWEST, min(self::WIDEST, (int) $wide)) : self::USUAL;
        $drawing = LineMapDrawing::on($width, $plan, $knowledge->media, Ink::Screen, $routeId);

        return new LineMapBands(array_map(static fn (MapBand $band, string $svg): DrawnBand => new DrawnBand($band->width, $band->height, $svg), $drawing->map->bands, $drawing->bands()));
    }
}
