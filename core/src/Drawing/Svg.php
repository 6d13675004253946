<?php

declare(strict_types=1);

namespace Rundfunk\Drawing;

/** SVG 1.1 as text. Whatever a plan holds comes into a drawing through here, and can be nothing but text or the value of an attribute. */
final class Svg
{
    /**
     * @param  array<string, string|int|float|null>  $attributes  left out where null
     * @param  string  ...$content  markup: elements, or {@see text}
     */
    public static function element(string $name, array $attributes, string ...$content): string
    {
        $markup = '<'.$name;
        foreach ($attributes as $attribute => $value) {
            if ($value !== null) {
                $markup .= ' '.$attribute.'="'.self::text(is_float($value) ? self::length($value) : (string) $value).'"';
            }
        }

        return $markup.($content === [] ? '/>' : '>'.implode('', $content)."</{$name}>");
    }

    /** Text as it may stand in XML 1.0: marked-up characters escaped, and what XML cannot hold replaced. */
    public static function text(string $text): string
    {
        $allowed = preg_replace('/[^\x{9}\x{A}\x{D}\x{20}-\x{D7FF}\x{E000}-\x{FFFD}\x{10000}-\x{10FFFF}]/u', "\u{FFFD}", mb_scrub($text));

        return htmlspecialchars((string) $allowed, ENT_QUOTES | ENT_XML1);
    }

    /** @return string px, to a tenth */
    private static function length(float $value): string
    {
        return rtrim(rtrim(number_format($value, 1, '.', ''), '0'), '.');
    }

    /** A path from one point on, across to another: "M10 20H30". */
    public static function across(float $from, float $y, float $to): string
    {
        return 'M'.self::length($from).' '.self::length($y).'H'.self::length($to);
    }

    /** A path from one point on, down to another: "M10 20V30". */
    public static function down(float $x, float $top, float $bottom): string
    {
        return 'M'.self::length($x).' '.self::length($top).'V'.self::length($bottom);
    }

    /** @param  string  ...$content  markup */
    public static function file(float $width, float $height, string $title, string ...$content): string
    {
        return '<?xml version="1.0" encoding="UTF-8"?>'."\n".self::element('svg', [
            'xmlns' => 'http://www.w3.org/2000/svg', 'width' => $width, 'height' => $height,
            'viewBox' => '0 0 '.self::length($width).' '.self::length($height), 'font-family' => 'Barlow Semi Condensed, Arial Narrow, sans-serif',
        ], self::element('title', [], self::text($title)), ...$content)."\n";
    }
}
