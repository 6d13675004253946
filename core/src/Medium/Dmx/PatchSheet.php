<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Drawing\Ink;
use Rundfunk\Drawing\Svg;
use Rundfunk\Exchange\Csv;
use Rundfunk\Plan\FixtureSlot;

/** Who stands where in a universe: fixture by fixture its address, its switches, and its slots in words. */
final readonly class PatchSheet
{
    private const WIDTH = 760;

    private const LINE = 17;

    public static function csv(Universe $universe): string
    {
        $rows = [['Fixture', 'Type', 'Mode', 'Start address', 'Last slot', 'Switches on', 'Slot', 'What', 'At rest', 'Means']];
        foreach ($universe->patched as $one) {
            $head = [$one->node->name, $one->type->name ?? '', $one->mode->name ?? '', (string) $one->settings->start, (string) $one->last(), DmxBuild::switches($one) ?? ''];
            if ($one->uses === []) {
                $rows[] = [...$head, '', '', '', ''];
            }
            foreach ($one->uses as $use) {
                $rows[] = [...$head, self::place($one, $use->slot), $use->slot->name, (string) $use->slot->rest, $use->slot->ranges];
            }
        }

        return Csv::write($rows);
    }

    public static function svg(Universe $universe, Ink $ink): string
    {
        $title = "Patch of {$universe->link->name}";
        $y = 30.0;
        $lines = [Svg::element('text', ['x' => 12, 'y' => $y, 'font-size' => 20, 'fill' => $ink->ink()], Svg::text($title))];
        $y += 16;
        $ruler = new RulerDrawing($universe, self::WIDTH - 24, $ink);
        $lines[] = Svg::element('g', ['transform' => "translate(12 {$y})"], $ruler->markup());
        $y += $ruler->height + 12;
        foreach ($universe->patched as $one) {
            [$markup, $high] = self::fixture($one, $y, $ink);
            $lines[] = $markup;
            $y += $high;
        }

        return Svg::file(self::WIDTH, $y + 10, $title, ...$lines);
    }

    /** @return array{string, float} */
    private static function fixture(Patched $one, float $y, Ink $ink): array
    {
        $lines = [Svg::element('path', ['d' => Svg::across(12, $y, self::WIDTH - 12), 'stroke' => $ink->rule()])];
        $start = $one->settings->start;
        $words = [...($one->type === null ? [] : [$one->type->name]), ...($one->mode === null || count($one->type->modes ?? []) < 2 ? [] : ["mode {$one->mode->name}"])];
        $lines[] = Svg::element('text', ['x' => 12, 'y' => $y + 24, 'font-size' => 22, 'fill' => $ink->ink()], Svg::text($start === null ? '—' : (string) $start));
        $lines[] = Svg::element('text', ['x' => 66, 'y' => $y + 18, 'font-size' => 15, 'fill' => $ink->ink()], Svg::text($one->node->name));
        $lines[] = Svg::element('text', ['x' => 66, 'y' => $y + 34, 'font-size' => 12, 'fill' => $ink->soft()], Svg::text(implode(', ', $words)));
        $switches = $one->set();
        if ($switches !== null) {
            $lines[] = DipDrawing::markup($switches, self::WIDTH - 12 - DipDrawing::WIDTH, $y + 6, $ink);
        }
        $at = $y + 52;
        foreach ($one->uses as $use) {
            $lines[] = Svg::element('text', ['x' => 66, 'y' => $at, 'font-size' => 12, 'font-family' => 'monospace', 'fill' => $ink->ink()], Svg::text(self::place($one, $use->slot)));
            $lines[] = Svg::element('text', ['x' => 124, 'y' => $at, 'font-size' => 13, 'fill' => $ink->ink()], Svg::text($use->slot->name));
            $means = mb_strimwidth($use->slot->ranges, 0, 80, '…');
            $lines[] = Svg::element('text', ['x' => 290, 'y' => $at, 'font-size' => 12, 'fill' => $ink->soft()], Svg::text(($use->slot->rest > 0 ? "rests at {$use->slot->rest}".($means === '' ? '' : '; ') : '').$means));
            $at += self::LINE;
        }

        return [implode('', $lines), $at - $y];
    }

    /** "17", "17+18" */
    public static function place(Patched $one, FixtureSlot $slot): string
    {
        $before = ($one->settings->start ?? 1) - 1;
        if ($one->settings->start === null) {
            return '+'.($slot->at - 1);
        }

        return (string) ($before + $slot->at).($slot->fineAt === null ? '' : '+'.($before + $slot->fineAt));
    }
}
