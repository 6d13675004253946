<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use DOMDocument;
use DOMElement;
use DOMXPath;
use Rundfunk\Drawing\Ink;
use Rundfunk\Drawing\LineMapDrawing;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

final class LineMapDrawingTest extends CoreTestCase
{
    private static function read(string $svg): DOMXPath
    {
        $document = new DOMDocument;
        self::assertTrue($document->loadXML($svg));
        $path = new DOMXPath($document);
        $path->registerNamespace('s', 'http://www.w3.org/2000/svg');

        return $path;
    }

    private static function printed(Plan $plan, string $routeId = ''): DOMXPath
    {
        return self::read(LineMapDrawing::toPrint($plan, self::knowledge()->media, $routeId));
    }

    /** @return list<string> */
    private static function values(DOMXPath $path, string $query): array
    {
        $values = [];
        foreach ($path->query($query) ?: [] as $found) {
            $values[] = (string) $found->nodeValue;
        }

        return $values;
    }

    public function test_every_node_line_and_end_is_in_it_under_its_id(): void
    {
        foreach ([self::linden(), self::faulty()] as $plan) {
            $path = self::printed($plan);
            $ids = self::values($path, '//@id');
            self::assertSame($ids, array_unique($ids));
            foreach ($plan->nodes() as $node) {
                self::assertSame([$node->name], self::values($path, "//s:a[@id='node-{$node->id}']/@aria-label"));
            }
            foreach ($plan->endpoints() as $end) {
                self::assertContains("end-{$end->id}", $ids);
            }
            self::assertEqualsCanonicalizing(array_map(static fn ($link): string => $link->id, $plan->links()), array_unique(array_map(static fn (string $id): string => explode('-', $id)[1], self::values($path, "//s:a[starts-with(@id, 'link-')]/@id"))));
        }
    }

    public function test_a_printed_one_needs_no_colour_and_nothing_from_outside(): void
    {
        $path = self::printed(self::linden());
        foreach ([...self::values($path, '//@fill'), ...self::values($path, '//@stroke')] as $colour) {
            self::assertMatchesRegularExpression('/^(none|#(\w\w)\2\2)$/', $colour);
        }
        self::assertSame([], self::values($path, '//@href | //s:script | //s:image | //s:style'));
    }

    public function test_a_followed_route_runs_from_stop_to_stop_and_down_where_it_changes_lines(): void
    {
        $sketch = self::sketch();
        foreach (['a', 'b', 'c'] as $name) {
            $sketch->node($name, strtoupper($name), NodeKind::Controller, null, null);
        }
        $sketch->link('x', 'Air', 'packet-radio')->join('x', 'a', Role::Both)->join('x', 'b', Role::Both)
            ->link('y', 'House', 'ip')->join('y', 'b', Role::Both)->join('y', 'c', Role::Both)
            ->control('key', 'a', 'Key')->output('lamp', 'c', 'Lamp')
            ->route('key', Action::On, 'lamp');
        $plan = $sketch->plan();
        $path = self::printed($plan, $plan->routes()[0]->id);
        $x = static function (string $id) use ($path): float {
            $stop = $path->query("//s:rect[@id='end-{$id}']")->item(0);
            self::assertInstanceOf(DOMElement::class, $stop);

            return (float) $stop->getAttribute('x') + 5.5;
        };
        $stops = [];
        foreach ($plan->endpoints() as $end) {
            $stops[$plan->link($end->linkId)->name][] = $x($end->id);
        }
        $traced = self::values($path, "//s:path[@class='traced']/@d");
        self::assertCount(3, $traced);
        foreach (['Air' => $traced[1], 'House' => $traced[2]] as $link => $drawn) {
            self::assertSame(1, preg_match('/^M([\d.]+) [\d.]+H([\d.]+)$/', $drawn, $found));
            self::assertEqualsCanonicalizing($stops[$link], [(float) $found[1], (float) $found[2]]);
        }
        self::assertSame(1, preg_match('/^M([\d.]+) ([\d.]+)V([\d.]+)$/', $traced[0], $found));
        self::assertSame(array_values(array_intersect($stops['Air'], $stops['House'])), [(float) $found[1]]);
        self::assertGreaterThan((float) $found[2], (float) $found[3]);
        self::assertSame(['Key', 'Lamp'], array_slice(self::values($path, '//s:text'), -2));
        self::assertSame([], self::values(self::printed($plan), "//s:path[@class='traced']"));
    }

    public function test_a_route_that_runs_through_a_band_without_a_stop_is_drawn_through_it(): void
    {
        $sketch = self::sketch();
        for ($at = 0; $at < 30; $at++) {
            $sketch->node("n{$at}", sprintf('N%02d', $at), NodeKind::Controller, null, null);
        }
        $sketch->link('x', 'Air', 'packet-radio')->join('x', 'n0', Role::Both)->join('x', 'n29', Role::Both)
            ->control('key', 'n0', 'Key')->output('lamp', 'n29', 'Lamp')
            ->route('key', Action::On, 'lamp');
        $plan = $sketch->plan();
        $drawing = LineMapDrawing::on(700, $plan, self::knowledge()->media, Ink::Screen, $plan->routes()[0]->id);
        // Whatever order the posts stand in, the two ends of the one line have a band's edge between them or share a band.
        $with = array_filter($drawing->bands(), static fn (string $band): bool => str_contains($band, 'class="traced"'));
        $lines = array_filter($drawing->map->bands, static fn ($band): bool => $band->lines !== []);
        self::assertNotSame([], $with);
        self::assertSame(array_keys($lines), array_keys($with));
    }

    public function test_no_name_can_be_more_than_text(): void
    {
        $name = '</text><script>alert(1)</script>" onload="x';
        $sketch = self::sketch()->place('p', $name)->node('a', $name, NodeKind::Controller, 'p', null)->link('x', $name, 'packet-radio')->join('x', 'a', Role::Both);
        $path = self::printed($sketch->plan());
        self::assertSame([], self::values($path, '//s:script | //@onload'));
        self::assertContains($name, self::values($path, '//s:a/@aria-label'));
    }
}
