<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use Rundfunk\Medium\Medium;
use Rundfunk\Shipped;
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

    /** By its key neither: whoever must know something of one kind of link asks what the medium offers. */
    public function test_nothing_asks_whether_a_link_is_of_one_medium(): void
    {
        $root = dirname(__DIR__, 2);
        $keys = implode('|', array_map(static fn (Medium $medium): string => preg_quote($medium->key(), '/'), Shipped::knowledge()->media->all()));
        $asks = "/medium\)?\s*[!=]==\s*'(?:{$keys})'|linksOver\('(?:{$keys})'/";
        self::assertSame(1, preg_match($asks, "index.link(end.linkId)?.medium === 'dmx'"));
        foreach (["{$root}/core/src", "{$root}/app", "{$root}/resources/js"] as $folder) {
            /** @var SplFileInfo $file */
            foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($folder, RecursiveDirectoryIterator::SKIP_DOTS)) as $file) {
                $path = substr($file->getPathname(), strlen($root) + 1);
                $own = preg_match('~^core/src/Medium/\w+/|^resources/js/panels/|\.test\.ts$~', $path) === 1;
                self::assertTrue($own || preg_match($asks, (string) file_get_contents($file->getPathname())) === 0, $path);
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
