<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use DOMDocument;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Drawing\Svg;

/** What is written is read by libxml, an XML 1.0 reader from outside. */
final class SvgTest extends TestCase
{
    public function test_text_and_attributes_come_back_as_they_were_given_or_without_what_xml_cannot_hold(): void
    {
        $random = new Randomizer(new Mt19937(20));
        $pieces = ['<script>', '</text>', ']]>', '&amp;', '&', '"', "'", '<!--', '-->', "\x00", "\x08", "\u{FFFE}", "\xC3", "\u{202E}", 'x" onload="y', 'é', "\n", ' ', 'Shed'];
        for ($round = 0; $round < 500; $round++) {
            $text = '';
            for ($at = $random->getInt(0, 6); $at > 0; $at--) {
                $text .= $pieces[$random->getInt(0, count($pieces) - 1)];
            }
            $read = new DOMDocument;
            self::assertTrue($read->loadXML(Svg::file(10, 10, $text, Svg::element('text', ['data-name' => $text], Svg::text($text)))), $text);
            self::assertSame(2, $read->getElementsByTagName('*')->length - 1, 'no element that was not meant');
            $element = $read->getElementsByTagName('text')->item(0);
            self::assertNotNull($element);
            $plain = (string) preg_replace('/[\x00\x08\x{FFFE}]/u', "\u{FFFD}", mb_scrub($text));
            self::assertSame($plain, $element->textContent);
            self::assertSame(1, $element->attributes->length);
        }
    }

    public function test_lengths_are_written_to_a_tenth_with_a_point(): void
    {
        self::assertSame('<rect x="5.5" y="-3" width="0.3"/>', Svg::element('rect', ['x' => 5.5, 'y' => -3.0, 'width' => 1 / 3, 'rx' => null]));
        self::assertSame('M1.5 20H30', Svg::across(1.5, 20, 30));
    }
}
