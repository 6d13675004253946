<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/**
 * The rooms of the core: each first-level folder, each medium, each file at the root. Who leans on whom is drawn from the
 * `use` statements; nobody leans on himself by way of others.
 */
final class RoomsTest extends TestCase
{
    /** The only one that names media: it puts the program together. */
    private const COMPOSITION_ROOT = 'Shipped';

    /** Entry points, which may name the composition root. */
    private const ENTRIES = ['Console'];

    /** @var array<string, array<string, string>>|null */
    private static ?array $graph = null;

    /** @return array<string, array<string, string>> by room, the rooms it leans on, each with a file that shows it */
    private static function graph(): array
    {
        if (self::$graph !== null) {
            return self::$graph;
        }
        $root = dirname(__DIR__, 2).'/core/src/';
        self::$graph = [];
        /** @var SplFileInfo $file */
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, RecursiveDirectoryIterator::SKIP_DOTS)) as $file) {
            $path = substr($file->getPathname(), strlen($root), -4);
            self::$graph[self::room($path)] ??= [];
            preg_match_all('/^use Rundfunk\\\\([\w\\\\]+)(?: as \w+)?;$/m', (string) file_get_contents($file->getPathname()), $uses);
            foreach ($uses[1] as $used) {
                $other = self::room(str_replace('\\', '/', $used));
                if ($other !== self::room($path)) {
                    self::$graph[self::room($path)][$other] = $path;
                }
            }
        }

        return self::$graph;
    }

    private static function room(string $path): string
    {
        $parts = explode('/', $path);

        return $parts[0] === 'Medium' && count($parts) > 2 ? "Medium/{$parts[1]}" : $parts[0];
    }

    public function test_the_graph_is_of_the_whole_core(): void
    {
        self::assertGreaterThan(25, count(self::graph()));
        self::assertArrayHasKey('Plan', self::graph()['Check']);
        self::assertArrayHasKey('Medium/PacketRadio', self::graph()[self::COMPOSITION_ROOT]);
    }

    public function test_no_room_leans_on_itself_by_way_of_others(): void
    {
        $graph = self::graph();
        // Taking away whatever leans on nothing that is left, again and again, leaves nothing but cycles.
        do {
            $before = count($graph);
            $graph = array_filter($graph, static fn (array $leans): bool => array_intersect_key($leans, $graph) !== []);
        } while (count($graph) < $before);
        $left = [];
        foreach ($graph as $room => $leans) {
            foreach (array_intersect_key($leans, $graph) as $other => $file) {
                $left[] = "{$room} → {$other} ({$file})";
            }
        }
        self::assertSame([], $left);
    }

    public function test_only_the_composition_root_names_a_medium(): void
    {
        foreach (self::graph() as $room => $leans) {
            foreach ($leans as $other => $file) {
                $allowed = ! str_starts_with($other, 'Medium/') || $room === self::COMPOSITION_ROOT || $room === 'Rehearsal';
                self::assertTrue($allowed, "{$file} names {$other}");
            }
        }
    }

    public function test_only_entry_points_name_the_composition_root(): void
    {
        foreach (self::graph() as $room => $leans) {
            self::assertTrue(! isset($leans[self::COMPOSITION_ROOT]) || in_array($room, self::ENTRIES, true), $leans[self::COMPOSITION_ROOT] ?? '');
        }
    }

    public function test_what_lies_lowest_leans_on_nothing(): void
    {
        foreach (['Shape', 'Figures', 'DerivedId', 'Signal', 'Frame'] as $room) {
            self::assertSame([], array_keys(array_diff_key(self::graph()[$room], ['OutOfRange' => true])), $room);
        }
    }
}
