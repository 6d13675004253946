<?php

declare(strict_types=1);

namespace Tests\Core\Plan;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Problem;
use Rundfunk\Shape\Problems;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;
use Tests\Core\CoreTestCase;

/** Field by field: what is taken, what is refused, and what is said. */
final class ShapeTest extends CoreTestCase
{
    /** @return iterable<string, array{Field, mixed, string|null}> field, value, what is wrong with it */
    public static function values(): iterable
    {
        $whole = Field::whole('x', 1, 5, 'A number.', 1);
        yield 'a whole number' => [$whole, 3, null];
        yield 'the lowest' => [$whole, 1, null];
        yield 'the highest' => [$whole, 5, null];
        yield 'one below' => [$whole, 0, 'must be a whole number from 1 to 5'];
        yield 'one above' => [$whole, 6, 'must be a whole number from 1 to 5'];
        yield 'a number as text' => [$whole, '3', 'must be a whole number from 1 to 5'];
        yield 'a broken number' => [$whole, 3.5, 'must be a whole number from 1 to 5'];
        yield 'true for one' => [$whole, true, 'must be a whole number from 1 to 5'];
        yield 'null where it may not be' => [$whole, null, 'must not be null: a whole number from 1 to 5'];
        yield 'null where it may be' => [$whole->nullable(), null, null];

        $text = Field::text('x', 4, 'A text.');
        yield 'a text' => [$text, 'abcd', null];
        yield 'letters count, not bytes' => [$text, 'äöüß', null];
        yield 'a text too long' => [$text, 'abcde', 'must be text of 1 to 4 characters'];
        yield 'no text at all' => [$text, '', 'must be text of 1 to 4 characters'];
        yield 'a list for a text' => [$text, ['a'], 'must be text of 1 to 4 characters'];
        yield 'not UTF-8' => [$text, "\xFF", 'must be text of 1 to 4 characters'];
        yield 'a control character' => [$text, "a\x07", 'must be text of 1 to 4 characters'];

        yield 'an id' => [Field::id(), '01ARZ3NDEKTSV4RRFFQ69G5FAV', null];
        yield 'an id in small letters' => [
            Field::id(),
            '01arz3ndektsv4rrffq69g5fav',
            'must be an id (a ULID of 26 characters)',
        ];
        yield 'an id with a letter that ids avoid' => [
            Field::id(),
            '01ARZ3NDEKTSV4RRFFQ69G5FAI',
            'must be an id (a ULID of 26 characters)',
        ];
        yield 'an id beyond the largest' => [
            Field::id(),
            '81ARZ3NDEKTSV4RRFFQ69G5FAV',
            'must be an id (a ULID of 26 characters)',
        ];
        yield 'an id with a line break' => [
            Field::id(),
            "01ARZ3NDEKTSV4RRFFQ69G5FAV\n",
            'must be an id (a ULID of 26 characters)',
        ];

        yield 'a flag' => [Field::flag('x', 'A flag.'), false, null];
        yield 'one for a flag' => [Field::flag('x', 'A flag.'), 1, 'must be true or false'];

        $choice = Field::oneOf('x', [250, 1000], 'A rate.', 250);
        yield 'a choice' => [$choice, 1000, null];
        yield 'a choice as text' => [$choice, '1000', 'must be one of 250, 1000'];
        yield 'a choice that is none' => [$choice, 500, 'must be one of 250, 1000'];

        $list = Field::wholes('x', 1, 14, 'Channels.');
        yield 'a list' => [$list, [1, 14], null];
        yield 'an empty list' => [$list, [], null];
        yield 'an object for a list' => [
            $list,
            ['a' => 1],
            'must be a list of at most 40, each a whole number from 1 to 14',
        ];
        yield 'a list too long' => [
            $list,
            array_fill(0, 41, 1),
            'must be a list of at most 40, each a whole number from 1 to 14',
        ];

        $bag = Field::settings('x', 'Settings.');
        yield 'settings' => [$bag, ['a' => 1, 'b' => null, 'c' => 'd'], null];
        yield 'no settings' => [$bag, [], null];
        yield 'a list for settings' => [$bag, [1], 'must be an object of at most 60 settings'];
        yield 'settings within settings' => [$bag, ['a' => ['b' => 1]], 'must be a single value'];
    }

    #[DataProvider('values')]
    public function test_a_field_takes_what_fits_and_says_what_does_not(Field $field, mixed $value, ?string $problem): void
    {
        $problems = new Problems;
        Shape::of($field)->accept([$field->name => $value], '', $problems);
        self::assertSame($problem === null ? [] : [$problem], array_map(static fn (Problem $one): string => $one->message, $problems->all()));
    }

    public function test_what_is_absent_gets_its_default_and_what_is_needed_is_missed(): void
    {
        $problems = new Problems;
        $values = Shape::of(
            Field::whole('count', 0, 9, 'A number.', 4),
            Field::flag('set', 'A flag.', true),
            Field::text('name', 9, 'A name.')->nullable(),
            Field::id(),
        )->accept([], '/thing', $problems);
        self::assertSame(['count' => 4, 'set' => true, 'name' => null, 'id' => null], $values);
        self::assertSame('/thing/id', $problems->all()[0]->place);
        self::assertSame('is missing', $problems->all()[0]->message);
    }

    public function test_a_name_in_a_place_is_escaped_as_rfc_6901_says(): void
    {
        $problems = new Problems;
        Shape::of()->accept(['a/b~c' => 1], '', $problems);
        self::assertSame('/a~1b~0c', $problems->all()[0]->place);
    }

    public function test_every_kind_of_thing_reads_back_what_it_writes(): void
    {
        foreach ([self::linden(), self::faulty()] as $plan) {
            foreach (ThingKind::cases() as $kind) {
                foreach ($plan->all($kind) as $thing) {
                    self::assertSame(array_keys($kind->shape()->fields), array_keys($thing->values()));
                    self::assertEquals($thing, $kind->thing()::from(new Values($thing->values())));
                }
            }
        }
    }
}
