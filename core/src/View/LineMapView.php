<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\View\Shown\LineMap;

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
        return LineMap::class;
    }

    /** @param  string  $of  the width of the page, px; the usual one when it is none */
    public function of(string $of, Plan $plan, Knowledge $knowledge): LineMap
    {
        $width = preg_match('/^\d{1,5}$/D', $of) === 1 ? max(self::NARROWEST, min(self::WIDEST, (int) $of)) : self::USUAL;

        return (new LineMapLayout($plan, $knowledge->media))->on($width);
    }
}
