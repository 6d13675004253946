<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Plan\OwnBoard;
use Rundfunk\Plan\OwnModule;
use Rundfunk\Shape\Problems;

/**
 * A class that a plan describes, as a file of the catalogue would say it. What a medium builds on stays that of the class it
 * was copied from: which medium it is for, what it carries, the figures that the medium asks for, the terminals it speaks by.
 */
final readonly class OwnClass
{
    /** Marked on a board or a module, and stored with every wire. */
    private const LONGEST_NAME = 24;

    /** Without these nothing could be said of a limit of the air, of a level, of an address. */
    private const KEPT = ['radio', 'levels', 'i2c'];

    /** Who stands for the figures. */
    private const BASIS = 'Described by the builder.';

    /** @return array<array-key, mixed> as a board's file */
    public static function board(OwnBoard $own, Catalogue $shipped): array
    {
        $copied = $shipped->described($own->copyOf);

        // Nobody is asked that: a copy sleeps as its class does.
        $asleep = array_intersect_key($copied, ['floatsAsleep' => true]);

        return [...($own->description === [] ? $copied : $own->description), ...$asleep, 'key' => $own->key(), 'name' => $own->name, 'basis' => self::BASIS];
    }

    /** @return array<array-key, mixed> as a module's file */
    public static function module(OwnModule $own, Catalogue $shipped): array
    {
        $copied = $shipped->described($own->copyOf);
        $kept = array_intersect_key($copied, array_flip(['group', 'medium', 'role', 'carries']));
        $description = $own->description === [] ? $copied : array_diff_key($own->description, array_flip(['group', 'medium', 'role', 'carries']));

        // Pins that were described without what they bear bear what those of its class do.
        if (is_array($description['offers'] ?? null) && is_array($copied['offers'] ?? null)) {
            $description['offers'] += array_intersect_key($copied['offers'], ['pinCurrent' => true]);
        }

        return ['figures' => [], 'reads' => [], ...$description, ...$kept, 'key' => $own->key(), 'name' => $own->name, 'basis' => self::BASIS];
    }

    /** @return array<array-key, mixed> what of a shipped class a copy of it describes */
    public static function description(string $key, Catalogue $shipped): array
    {
        return array_diff_key($shipped->described($key), array_flip(['key', 'name', 'basis', 'group', 'medium', 'role', 'carries']));
    }

    /** What no schema can see. */
    public static function check(OwnBoard|OwnModule $own, string $place, Catalogue $shipped, Problems $problems): void
    {
        $known = $own instanceof OwnBoard ? $shipped->hasBoard($own->copyOf) : $shipped->hasModule($own->copyOf);
        if (! $known) {
            $problems->add($place.'/copyOf', 'names no '.($own instanceof OwnBoard ? 'board' : 'module')." of the catalogue: \"{$own->copyOf}\"");

            return;
        }
        if ($own->description === []) {
            return;
        }
        if ($own instanceof OwnBoard) {
            self::checkNames($own->description['pins'] ?? [], "{$place}/description/pins", $problems);
        } else {
            self::checkNames([...self::items($own->description['terminals'] ?? []), ...self::items($own->description['supplyTerminals'] ?? [])], "{$place}/description/terminals", $problems);
            $report = is_array($own->description['report'] ?? null) ? $own->description['report'] : [];
            self::checkNames([...self::items($report['keys'] ?? []), ...self::items($report['axes'] ?? [])], "{$place}/description/report", $problems);
            self::checkCopied($own->description, $shipped->described($own->copyOf), "{$place}/description", $problems);
        }
    }

    private static function checkNames(mixed $list, string $place, Problems $problems): void
    {
        $seen = [];
        foreach (self::items($list) as $index => $item) {
            $name = is_string($item['name'] ?? null) ? $item['name'] : '';
            if (mb_strlen($name) > self::LONGEST_NAME) {
                $problems->add("{$place}/{$index}/name", 'must be at most '.self::LONGEST_NAME.' characters');
            }
            if (isset($seen[$name])) {
                $problems->add("{$place}/{$index}/name", "is used twice: \"{$name}\"");
            }
            $seen[$name] = true;
        }
    }

    /**
     * @param  array<array-key, mixed>  $description
     * @param  array<array-key, mixed>  $copied
     */
    private static function checkCopied(array $description, array $copied, string $place, Problems $problems): void
    {
        foreach (self::KEPT as $name) {
            if (isset($copied[$name]) && ! isset($description[$name])) {
                $problems->add("{$place}/{$name}", 'must be there, as with the class that it is a copy of');
            }
        }
        $figures = is_array($description['figures'] ?? null) ? $description['figures'] : [];
        $wanted = is_array($copied['figures'] ?? null) ? $copied['figures'] : [];
        foreach ($wanted as $name => $figure) {
            if (! isset($figures[$name]) || is_string($figures[$name]) !== is_string($figure) || is_bool($figures[$name]) !== is_bool($figure)) {
                $problems->add("{$place}/figures/{$name}", 'must be there, as with the class that it is a copy of');
            } elseif (is_numeric($figure) && is_numeric($figures[$name]) && ! self::isLike((float) $figures[$name], (float) $figure)) {
                $problems->add("{$place}/figures/{$name}", "must be from half to twice the {$figure} of the class that it is a copy of");
            }
        }
        foreach (array_diff_key($figures, $wanted) as $name => $figure) {
            $problems->add("{$place}/figures/".Problems::segment((string) $name), 'is no figure of the class that it is a copy of');
        }
        if (! isset($copied['medium'])) {
            return;
        }
        $names = array_column(self::items($description['terminals'] ?? []), 'needs', 'name');
        foreach (array_column(self::items($copied['terminals'] ?? []), 'needs', 'name') as $name => $needs) {
            if (($names[$name] ?? null) !== $needs) {
                $problems->add("{$place}/terminals", "must hold {$name}, by which its medium speaks");
            }
        }
    }

    /** What a medium counts on was made for about as much. */
    private static function isLike(float $figure, float $copied): bool
    {
        return $figure >= $copied / 2 && $figure <= ($copied === 0.0 ? 1.0 : 2 * $copied);
    }

    /** @return list<array<array-key, mixed>> */
    private static function items(mixed $list): array
    {
        return is_array($list) ? array_values(array_filter($list, is_array(...))) : [];
    }
}
