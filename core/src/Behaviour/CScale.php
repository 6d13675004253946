<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** A scale as C says it. */
final readonly class CScale
{
    /** @param  array{ScalePoint, ScalePoint}  $line */
    public static function on(array $line, string $raw): string
    {
        [$from, $to] = $line;

        return "node_scaled({$raw}, {$from->raw}L, {$from->unit}L, {$to->raw}L, {$to->unit}L)";
    }

    /** What a gauge reads, in thousandths of its unit; of one scale of several lines by its own function. */
    public static function reading(int $index, ?Scale $scale, string $in): string
    {
        return match (true) {
            $scale === null => "node_sane({$in})",
            $scale->more === [] => 'node_sane('.self::on($scale->lines()[0], $in).')',
            default => "node_sane(node_gauge_{$index}_scaled({$in}))",
        };
    }

    /** @return list<string> that function */
    public static function lines(int $index, Gauge $gauge): array
    {
        $scale = $gauge->scale;
        if ($scale === null || $scale->more === []) {
            return [];
        }
        $lines = [CNote::of("{$gauge->name}, from point to point of its scale"), "static int32_t node_gauge_{$index}_scaled(int32_t raw)", '{'];
        $all = $scale->lines();
        $last = array_pop($all);
        foreach ($all as $line) {
            $lines = [...$lines, "    if (raw < {$line[1]->raw}L) {", '        return '.self::on($line, 'raw').';', '    }'];
        }

        return [...$lines, '    return '.self::on($last, 'raw').';', '}', ''];
    }
}
