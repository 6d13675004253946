<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use PHPUnit\Framework\Attributes\DataProvider;
use ReflectionClass;
use ReflectionMethod;
use ReflectionParameter;
use ReflectionProperty;
use Rundfunk\Plan\Columns;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\Things;
use Tests\Core\CoreTestCase;

/** Things that come from columns are those that were put into them, whoever asks first and however. */
final class ThingsTest extends CoreTestCase
{
    /** @return iterable<string, array{ThingKind}> */
    public static function kinds(): iterable
    {
        foreach (ThingKind::cases() as $kind) {
            yield $kind->value => [$kind];
        }
    }

    /** Whoever adds a field that is not constructed would lose it with each edit. */
    #[DataProvider('kinds')]
    public function test_a_thing_is_constructed_of_all_that_it_holds(ThingKind $kind): void
    {
        $class = $kind->thing();
        self::assertSame(
            array_map(static fn (ReflectionProperty $one): string => $one->getName(), (new ReflectionClass($class))->getProperties(ReflectionProperty::IS_PUBLIC)),
            array_map(static fn (ReflectionParameter $one): string => $one->getName(), (new ReflectionMethod($class, '__construct'))->getParameters()),
        );
        self::assertSame([], (new ReflectionClass($class))->getProperties(ReflectionProperty::IS_PRIVATE | ReflectionProperty::IS_PROTECTED));
    }

    #[DataProvider('kinds')]
    public function test_columns_give_back_what_was_put_into_them(ThingKind $kind): void
    {
        foreach ([self::linden(), self::faulty()] as $plan) {
            $things = $plan->all($kind);
            $again = self::packed($plan, $kind);
            self::assertCount(count($things), $again);
            foreach (array_keys($things) as $id) {
                self::assertTrue($again->has($id));
                self::assertEquals($things[$id], $again->find($id));
                self::assertSame($again->find($id), $again->find($id));
            }
            self::assertEquals($things, self::packed($plan, $kind)->all());
            self::assertSame(array_keys($things), array_keys(self::packed($plan, $kind)->all()));
            self::assertSame(array_map(static fn (object $thing): mixed => get_object_vars($thing)['id'], $things), $again->column('id'));
        }
    }

    /** A block is read when something in it is asked for, and once: of a thousand things here one, and one field of all. */
    public function test_of_many_things_only_those_blocks_are_read_that_are_asked_for(): void
    {
        $nodes = [];
        for ($number = 0; $number < 1_000; $number++) {
            $node = new Node(sprintf('01ARZ3NDEKTSV4RRFFQ69G%04d', $number), "Node {$number}", NodeKind::Controller, order: $number);
            $nodes[$node->id] = $node;
        }
        ['ids' => $ids, 'blocks' => $blocks] = Things::of(Node::class, $nodes)->packed(igbinary_serialize(...));
        $read = [];
        $things = Things::from(Node::class, new Columns($ids, $blocks, static function (string $block) use (&$read): array {
            $read[] = $block;

            return igbinary_unserialize($block);
        }));
        self::assertCount(1_000, $things);
        self::assertSame([], $read);
        $changed = $things->with([$ids[0] => null]);
        foreach ([500, 501, 999, 127, 128] as $number) {
            self::assertEquals($nodes[$ids[$number]], $things->find($ids[$number]));
        }
        self::assertEquals($nodes[$ids[500]], $changed->find($ids[500]));
        self::assertCount(4 * count($blocks), $read);
        $read = [];
        self::assertSame(array_map(static fn (Node $node): string => $node->name, array_slice($nodes, 1)), $changed->column('name'));
        self::assertCount(count($blocks['name']) - 4, $read);
        self::assertSame($read, array_unique($read));
        $read = [];
        self::assertSame([$ids[700]], $changed->holding('order', 700));
        self::assertCount(count($blocks['order']) - 4, $read, 'what was read of the field for single things is not read again');
    }

    public function test_what_holds_something_is_found_where_it_was_kept_and_where_it_changed(): void
    {
        $kept = self::packed(self::linden(), ThingKind::Node);
        $of = array_keys($kept->column('kind'), NodeKind::Controller, true);
        self::assertSame($of, $kept->holding('kind', NodeKind::Controller));
        $new = new Node('01ARZ3NDEKTSV4RRFFQ69G5FAV', 'New', NodeKind::Controller);
        $changed = $kept->with([$of[0] => null, $of[1] => new Node($of[1], 'Otherwise', NodeKind::Handset), $of[2] => new Node($of[2], 'Again', NodeKind::Controller), $new->id => $new]);
        self::assertEqualsCanonicalizing([...array_slice($of, 2), $new->id], $changed->holding('kind', NodeKind::Controller));
        self::assertContains($of[1], $changed->holding('kind', NodeKind::Handset));
        self::assertSame([], $changed->holding('name', 'of nobody'));
    }

    public function test_what_is_asked_of_columns_is_felt_to_have_changed(): void
    {
        $plan = self::linden();
        $nodes = self::packed($plan, ThingKind::Node);
        [$first, $second, $third] = array_keys($nodes->all());
        $renamed = new Node($second, 'Otherwise', NodeKind::Controller);
        $new = new Node('01ARZ3NDEKTSV4RRFFQ69G5FAV', 'New', NodeKind::Controller);
        $changed = $nodes->with([$first => null, $second => $renamed, $new->id => $new]);
        self::assertFalse($changed->has($first));
        self::assertNull($changed->find($first));
        self::assertSame($renamed, $changed->find($second));
        self::assertCount(count($nodes), $changed);
        self::assertSame([...array_slice(array_keys($nodes->all()), 1), $new->id], array_keys($changed->all()));
        self::assertSame($renamed, $changed->all()[$second]);
        self::assertArrayNotHasKey($first, $changed->column('name'));
        self::assertSame('Otherwise', $changed->column('name')[$second]);
        self::assertSame('New', $changed->column('name')[$new->id]);
        $old = $nodes->find($third);
        self::assertInstanceOf(Node::class, $old);
        self::assertSame($old->name, $changed->column('name')[$third]);
        // Taken back, it is as it was; what was before the change never changed.
        $back = $changed->with([$first => $nodes->find($first), $second => $nodes->find($second), $new->id => null]);
        self::assertEquals($nodes->all(), $back->all());
        self::assertSame(array_keys($nodes->all()), array_keys($back->all()));
        self::assertEquals($plan->all(ThingKind::Node), $nodes->all());
        self::assertEquals($changed->all(), self::again($changed, Node::class)->all());
        self::assertNull($back->find('of nothing'));
    }

    public function test_a_draft_counts_what_it_holds(): void
    {
        $plan = self::linden();
        $draft = $plan->draft();
        $count = $draft->count(ThingKind::Node);
        self::assertCount($count, $plan->nodes());
        $new = new Node('01ARZ3NDEKTSV4RRFFQ69G5FAV', 'New', NodeKind::Controller);
        $draft->drop($new);
        self::assertSame($count, $draft->count(ThingKind::Node));
        $draft->put($new);
        $draft->put($new);
        self::assertSame($count + 1, $draft->count(ThingKind::Node));
        self::assertCount($count + 1, $draft->all(ThingKind::Node));
        $draft->drop($new);
        $draft->drop($new);
        $draft->drop($plan->nodes()[0]);
        self::assertSame($count - 1, $draft->count(ThingKind::Node));
        self::assertCount($count - 1, $draft->plan()->nodes());
    }

    /** @return Things<Thing> */
    private static function packed(Plan $plan, ThingKind $kind): Things
    {
        return self::again($plan->things($kind), $kind->thing());
    }

    /**
     * @template T of Thing
     *
     * @param  Things<T>  $things
     * @param  class-string<T>  $class
     * @return Things<T>
     */
    private static function again(Things $things, string $class): Things
    {
        ['ids' => $ids, 'blocks' => $blocks] = $things->packed(igbinary_serialize(...));

        return Things::from($class, new Columns($ids, $blocks, igbinary_unserialize(...)));
    }
}
