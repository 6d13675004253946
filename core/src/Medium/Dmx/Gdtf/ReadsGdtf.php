<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Gdtf;

use DOMDocument;
use DOMElement;
use Rundfunk\Medium\Dmx\SlotRanges;
use Rundfunk\Plan\FixtureMode;
use Rundfunk\Plan\FixtureSlot;
use Rundfunk\Plan\FixtureSlotKind;

/** A fixture as its maker describes it in an archive. Source: GDTF (DIN SPEC 15800), from memory. */
final class ReadsGdtf
{
    private const MOST_ELEMENTS = 200_000;

    /** Attributes of the standard, as people name them. */
    private const NAMES = [
        'Dimmer' => 'Dimmer', 'Shutter1' => 'Shutter', 'Shutter1Strobe' => 'Strobe', 'ColorAdd_R' => 'Red', 'ColorAdd_G' => 'Green', 'ColorAdd_B' => 'Blue', 'ColorAdd_W' => 'White', 'ColorAdd_WW' => 'Warm white', 'ColorAdd_CW' => 'Cold white', 'ColorAdd_A' => 'Amber', 'ColorAdd_RY' => 'Amber',
        'ColorAdd_UV' => 'Ultraviolet', 'ColorSub_C' => 'Cyan', 'ColorSub_M' => 'Magenta', 'ColorSub_Y' => 'Yellow', 'CTO' => 'Warmth', 'CTC' => 'Warmth', 'Pan' => 'Pan', 'Tilt' => 'Tilt', 'Zoom' => 'Zoom', 'Focus1' => 'Focus', 'Color1' => 'Colour',
    ];

    /** @var list<string> */
    private array $leftOut = [];

    /** @var array<string, string> feature by attribute */
    private array $features = [];

    /** @var array<string, string> by attribute */
    private array $pretty = [];

    /** @var array<string, string> the geometry at the top that holds it, by name */
    private array $top = [];

    /** @var array<string, list<array{geometry: string, name: string, offset: int}>> by the geometry at the top they stand in */
    private array $references = [];

    /**
     * @return array{name: string, note: string, modes: list<FixtureMode>, leftOut: list<string>}
     *
     * @throws FixtureRefused
     */
    public static function from(string $archive): array
    {
        return (new self)->read(ReadsArchive::description($archive));
    }

    /**
     * @return array{name: string, note: string, modes: list<FixtureMode>, leftOut: list<string>}
     *
     * @throws FixtureRefused
     */
    private function read(string $xml): array
    {
        $fixture = self::fixture($xml);
        foreach (self::every($fixture, 'AttributeDefinitions/Attributes/Attribute') as $attribute) {
            $this->features[$attribute->getAttribute('Name')] = $attribute->getAttribute('Feature');
            $this->pretty[$attribute->getAttribute('Name')] = $attribute->getAttribute('Pretty');
        }
        foreach (self::every($fixture, 'Geometries') as $all) {
            foreach (self::children($all) as $geometry) {
                $this->geometry($geometry, $geometry->getAttribute('Name'));
            }
        }
        $modes = [];
        foreach (self::every($fixture, 'DMXModes/DMXMode') as $mode) {
            $read = $this->mode($mode);
            if ($read->slots === []) {
                $this->leftOut[] = "Mode \"{$read->name}\": it has no slots.";
            } elseif (count($modes) === FixtureMode::MOST) {
                $this->leftOut[] = "Mode \"{$read->name}\": more than ".FixtureMode::MOST.'.';
            } else {
                $modes[] = $read;
            }
        }
        if ($modes === []) {
            throw FixtureRefused::because('Its description has no mode with slots.');
        }
        $name = self::words($fixture->getAttribute('Name'), 80);
        $maker = self::words($fixture->getAttribute('Manufacturer'), 60);

        return ['name' => $name === '' ? 'Fixture' : $name, 'note' => $maker === '' ? '' : "Of {$maker}, as its file describes it.", 'modes' => $modes, 'leftOut' => array_values(array_unique($this->leftOut))];
    }

    private static function fixture(string $xml): DOMElement
    {
        // A text of two-byte letters passes for UTF-8, and a reader of XML takes it for what it is.
        if (str_contains($xml, "\0") || ! mb_check_encoding($xml, 'UTF-8') || preg_match('/^\s*<\?xml[^>]*encoding\s*=\s*["\'](?!utf-?8["\'])/i', $xml) === 1) {
            throw FixtureRefused::because('Its description is not in UTF-8.');
        }
        // Entities are how a small file becomes a large one, or another file: a description has no need of any.
        if (preg_match('/<!(DOCTYPE|ENTITY)/i', $xml) === 1) {
            throw FixtureRefused::because('Its description defines entities of its own.');
        }
        if (substr_count($xml, '<') > 2 * self::MOST_ELEMENTS) {
            throw FixtureRefused::because('Its description has more parts than any fixture.');
        }
        $document = new DOMDocument;
        $errors = libxml_use_internal_errors(true);
        $isRead = $document->loadXML($xml, LIBXML_NONET | LIBXML_COMPACT);
        libxml_clear_errors();
        libxml_use_internal_errors($errors);
        $root = $isRead ? $document->documentElement : null;
        if ($document->doctype !== null) {
            throw FixtureRefused::because('Its description defines entities of its own.');
        }
        if ($root === null) {
            throw FixtureRefused::because('Its description is no XML.');
        }
        $fixture = $root->nodeName === 'GDTF' ? (self::every($root, 'FixtureType')[0] ?? null) : null;

        return $fixture ?? throw FixtureRefused::because('Its description is not that of a fixture.');
    }

    /** @return list<DOMElement> those that a path of names leads to */
    private static function every(DOMElement $from, string $path): array
    {
        $at = [$from];
        foreach (explode('/', $path) as $name) {
            $next = [];
            foreach ($at as $one) {
                array_push($next, ...array_filter(self::children($one), static fn (DOMElement $child): bool => $child->nodeName === $name));
            }
            $at = $next;
        }

        return $at;
    }

    /** @return list<DOMElement> */
    private static function children(DOMElement $of): array
    {
        $children = [];
        for ($child = $of->firstElementChild; $child !== null; $child = $child->nextElementSibling) {
            $children[] = $child;
        }

        return $children;
    }

    private function geometry(DOMElement $geometry, string $top): void
    {
        $this->top[$geometry->getAttribute('Name')] = $top;
        if ($geometry->nodeName === 'GeometryReference') {
            $offset = 1;
            foreach (self::every($geometry, 'Break') as $break) {
                if (in_array($break->getAttribute('DMXBreak'), ['', '1'], true)) {
                    $offset = max(1, (int) $break->getAttribute('DMXOffset'));
                }
            }
            $this->references[$top][] = ['geometry' => $geometry->getAttribute('Geometry'), 'name' => $geometry->getAttribute('Name'), 'offset' => $offset];
        }
        foreach (self::children($geometry) as $child) {
            if ($child->hasAttribute('Name')) {
                $this->geometry($child, $top);
            }
        }
    }

    private function mode(DOMElement $mode): FixtureMode
    {
        $name = self::words($mode->getAttribute('Name'), 40);
        $slots = $names = [];
        foreach (self::every($mode, 'DMXChannels/DMXChannel') as $channel) {
            $top = $this->top[$channel->getAttribute('Geometry')] ?? '';
            $copies = array_values(array_filter($this->references[$mode->getAttribute('Geometry')] ?? [], static fn (array $one): bool => $one['geometry'] === $top && $top !== $mode->getAttribute('Geometry')));
            foreach ($copies === [] ? [['offset' => 1, 'number' => 0]] : array_map(static fn (array $one, int $at): array => ['offset' => $one['offset'], 'number' => $at + 1], $copies, array_keys($copies)) as $copy) {
                $slot = $this->slot($channel, $copy['offset'] - 1, $copy['number'], $names, $name);
                if ($slot !== null && max($slot->at, $slot->fineAt ?? 0) <= FixtureSlot::MOST && count($slots) < FixtureSlot::MOST) {
                    $slots[] = $slot;
                    $names[$slot->name] = true;
                } elseif ($slot !== null) {
                    $this->leftOut[] = "{$slot->name} in mode \"{$name}\": beyond what a universe has.";
                }
            }
        }
        usort($slots, static fn (FixtureSlot $one, FixtureSlot $other): int => $one->at <=> $other->at);

        return new FixtureMode($name === '' ? 'Mode' : $name, $slots);
    }

    /** @param  array<string, true>  $names  that are taken in its mode */
    private function slot(DOMElement $channel, int $before, int $copy, array $names, string $mode): ?FixtureSlot
    {
        $logical = self::every($channel, 'LogicalChannel')[0] ?? null;
        $attribute = $logical?->getAttribute('Attribute') ?? '';
        $called = self::NAMES[$attribute] ?? (($this->pretty[$attribute] ?? '') !== '' ? $this->pretty[$attribute] : $attribute);
        $name = self::unlike(self::words($called === '' ? 'Slot' : $called, 24), $copy, $names);
        $offsets = array_map(intval(...), array_filter(explode(',', $channel->getAttribute('Offset')), static fn (string $one): bool => ctype_digit(trim($one)) && (int) $one > 0));
        $break = $channel->getAttribute('DMXBreak');
        if ($offsets === []) {
            // A channel of the desk's alone: nothing goes out for it.
            return null;
        }
        if ($break !== '' && $break !== '1' && strcasecmp($break, 'Overwrite') !== 0) {
            $this->leftOut[] = "{$name} in mode \"{$mode}\": it has an address of its own, apart from the others.";

            return null;
        }
        if (count($offsets) > 2) {
            $this->leftOut[] = "{$name} in mode \"{$mode}\": the bytes behind its second, which stay at nothing.";
        }
        $functions = $logical === null ? [] : self::every($logical, 'ChannelFunction');
        $ranges = self::ranges($functions);
        $kind = $this->kind($attribute);
        $open = $kind === FixtureSlotKind::Dimmer ? ['from' => 1, 'to' => 255] : ($kind === FixtureSlotKind::Shutter ? self::open($ranges) : null);

        return new FixtureSlot(
            $name, $before + $offsets[0], isset($offsets[1]) ? $before + $offsets[1] : null, $kind, self::rest($channel, $functions),
            $kind === FixtureSlotKind::Shutter && $open !== null ? $open['from'] : null,
            $open['from'] ?? null, $open === null || $open['to'] === 255 ? null : $open['to'],
            $this->text($ranges, $name),
        );
    }

    /** @param  array<string, true>  $names */
    private static function unlike(string $name, int $copy, array $names): string
    {
        $made = $copy === 0 ? $name : mb_substr($name, 0, 20)." {$copy}";
        for ($number = 2; isset($names[$made]); $number++) {
            $made = mb_substr($name, 0, 20)." {$number}";
        }

        return $made;
    }

    private function kind(string $attribute): FixtureSlotKind
    {
        $feature = explode('.', $this->features[$attribute] ?? '')[0];

        return match (true) {
            preg_match('/^(Shutter|Strobe)/', $attribute) === 1 => FixtureSlotKind::Shutter,
            $attribute === 'Dimmer' || $feature === 'Dimmer' => FixtureSlotKind::Dimmer,
            $feature === 'Color' || preg_match('/^(Color|CTO|CTB|CTC|HSB_)/', $attribute) === 1 => FixtureSlotKind::Colour,
            in_array($feature, ['Position', 'Focus'], true) || preg_match('/^(Pan|Tilt|Zoom|Focus)/', $attribute) === 1 => FixtureSlotKind::Position,
            default => FixtureSlotKind::Other,
        };
    }

    /** @param  list<DOMElement>  $functions */
    private static function rest(DOMElement $channel, array $functions): int
    {
        // Since 1.1 the default is the function's, before it was the channel's; the initial function is named by its way.
        $initial = array_slice(explode('.', $channel->getAttribute('InitialFunction')), -1)[0];
        foreach ($functions as $function) {
            if ($function->getAttribute('Name') === $initial && $function->hasAttribute('Default')) {
                return self::coarse($function->getAttribute('Default')) ?? 0;
            }
        }

        return self::coarse($channel->getAttribute('Default')) ?? self::coarse(($functions[0] ?? null)?->getAttribute('Default') ?? '') ?? 0;
    }

    /**
     * @param  list<DOMElement>  $functions
     * @return list<array{from: int, to: int, words: string}>
     */
    private static function ranges(array $functions): array
    {
        $begin = [];
        foreach ($functions as $function) {
            $from = self::coarse($function->getAttribute('DMXFrom'));
            $words = self::words($function->getAttribute('Name') === '' ? $function->getAttribute('Attribute') : $function->getAttribute('Name'), 40);
            if ($from !== null) {
                $begin[$from] ??= $words;
            }
            foreach (self::every($function, 'ChannelSet') as $set) {
                $from = self::coarse($set->getAttribute('DMXFrom'));
                $called = self::words($set->getAttribute('Name'), 40);
                if ($from !== null && $called !== '') {
                    $begin[$from] = $called;
                }
            }
        }
        ksort($begin);
        $ranges = [];
        $starts = array_keys($begin);
        foreach ($starts as $at => $from) {
            if ($begin[$from] !== '') {
                $ranges[] = ['from' => $from, 'to' => isset($starts[$at + 1]) ? $starts[$at + 1] - 1 : 255, 'words' => $begin[$from]];
            }
        }

        return $ranges;
    }

    /**
     * @param  list<array{from: int, to: int, words: string}>  $ranges
     * @return array{from: int, to: int}|null
     */
    private static function open(array $ranges): ?array
    {
        foreach ($ranges as $range) {
            if (preg_match('/\bopen\b/i', $range['words']) === 1) {
                return ['from' => $range['from'], 'to' => $range['to']];
            }
        }

        return null;
    }

    /** @param  list<array{from: int, to: int, words: string}>  $ranges */
    private function text(array $ranges, string $name): string
    {
        $text = '';
        foreach (count($ranges) < 2 ? [] : $ranges as $range) {
            $words = trim(strtr($range['words'], [',' => ' ', '=' => ' ']));
            $part = ($text === '' ? '' : ', ').($range['from'] === $range['to'] ? $range['from'] : "{$range['from']}-{$range['to']}")."={$words}";
            if (mb_strlen($text.$part) > 600) {
                $this->leftOut[] = "{$name}: what the rest of its figures mean.";
                break;
            }
            $text .= $words === '' ? '' : $part;
        }

        return SlotRanges::of($text)->isSound ? $text : '';
    }

    /** @return int|null the high byte of "65535/2" or "255/1s"; null where it is no such figure */
    private static function coarse(string $value): ?int
    {
        if (preg_match('~^\s*(\d{1,10})\s*/\s*([1-4])\s*s?\s*$~D', $value, $match) !== 1) {
            return null;
        }

        return min(255, (int) $match[1] >> (8 * ((int) $match[2] - 1)));
    }

    private static function words(string $text, int $longest): string
    {
        return mb_substr(trim((string) preg_replace('/[\p{C}\s]+/u', ' ', $text)), 0, $longest);
    }
}
