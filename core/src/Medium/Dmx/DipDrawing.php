<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Drawing\Ink;
use Rundfunk\Drawing\Svg;

/** Nine switches as they stand: the lever up is on. */
final readonly class DipDrawing
{
    public const WIDTH = 9 * self::PITCH + 2;

    public const HEIGHT = 34;

    private const PITCH = 15;

    /**
     * @param  list<bool>  $switches  the first switch first
     * @return string markup
     */
    public static function markup(array $switches, float $x, float $y, Ink $ink): string
    {
        $lines = [];
        foreach ($switches as $at => $on) {
            $left = $x + 1 + self::PITCH * $at;
            $lines[] = Svg::element('rect', ['x' => $left, 'y' => $y + 1, 'width' => 11, 'height' => 20, 'fill' => $ink->sheet(), 'stroke' => $ink->soft()]);
            $lines[] = Svg::element('rect', ['x' => $left + 2, 'y' => $y + ($on ? 3 : 11), 'width' => 7, 'height' => 8, 'fill' => $on ? $ink->ink() : $ink->soft(), 'fill-opacity' => $on ? null : '0.45']);
            $lines[] = Svg::element('text', ['x' => $left + 5.5, 'y' => $y + 32, 'text-anchor' => 'middle', 'font-size' => 10, 'fill' => $ink->soft()], Svg::text((string) ($at + 1)));
        }

        return implode('', $lines);
    }
}
