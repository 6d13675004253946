<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

use BackedEnum;
use stdClass;

/** One named field: what it may hold, whether it must be there, what it is when it is not. */
final readonly class Field
{
    /** @param  list<string>  $names  of the choices, as people read them */
    private function __construct(
        public string $name,
        public FieldType $type,
        public string $doc,
        public bool $required,
        public bool $nullable,
        public mixed $default,
        public ?Reference $refers = null,
        public ?string $unit = null,
        public ?string $title = null,
        public bool $assigned = false,
        public array $names = [],
        public bool $seldom = false,
        public bool $hexadecimal = false,
    ) {
    }

    public static function id(): self
    {
        return new self('id', TextType::ulid(), 'Its own id, a ULID.', true, false, null);
    }

    public static function name(): self
    {
        return new self('name', new TextType(1, 80), 'What the user calls it.', true, false, null);
    }

    public static function order(): self
    {
        return new self('order', new WholeType(0, 1_000_000), 'Where it stands among its like.', false, false, 0);
    }

    public static function owned(): self
    {
        return self::flag('owned', 'Whether it lies in the drawer already, so that it need not be bought.');
    }

    public static function note(): self
    {
        return self::longText('note', 2_000, 'Anything worth remembering.');
    }

    public static function longText(string $name, int $longest, string $doc): self
    {
        return new self($name, new TextType(0, $longest), $doc, false, false, '');
    }

    public static function text(string $name, int $longest, string $doc): self
    {
        return new self($name, new TextType(1, $longest), $doc, true, false, null);
    }

    public static function key(string $name, string $doc): self
    {
        return new self($name, TextType::key(), $doc, true, false, null);
    }

    /** A key of the catalogue, or "own:" and the id of a class that the plan itself describes. */
    public static function classOf(string $name, BackedEnum $own, string $doc): self
    {
        return new self($name, TextType::classKey(), $doc, true, false, null, new Reference((string) $own->value, Bond::Uses));
    }

    public static function described(string $name, Described $what, string $doc): self
    {
        return (new self($name, new DescribedType($what), $doc, false, false, null))->nullable();
    }

    /** The one thing that this is a part of. */
    public static function partOf(string $name, BackedEnum $kind, string $doc): self
    {
        return self::referring($name, $kind, Bond::PartOf, $doc);
    }

    /** One of the several things that this stands between. */
    public static function joins(string $name, BackedEnum $kind, string $doc): self
    {
        return self::referring($name, $kind, Bond::Joins, $doc);
    }

    /** A thing that this can be without: null where there is none. */
    public static function mentions(string $name, BackedEnum $kind, string $doc): self
    {
        return self::referring($name, $kind, Bond::Mentions, $doc)->nullable();
    }

    /** A thing that this can be without, and whose whole is shared among all that refer to it: what one takes the others feel. */
    public static function shares(string $name, BackedEnum $kind, string $doc): self
    {
        return new self($name, TextType::ulid(), $doc, false, true, null, new Reference((string) $kind->value, Bond::Mentions, true));
    }

    /** Things that this can be without, each once. */
    public static function mentionsAll(string $name, BackedEnum $kind, int $most, string $doc): self
    {
        return new self($name, new ListType(TextType::ulid(), $most), $doc, false, false, [], new Reference((string) $kind->value, Bond::Mentions));
    }

    /** Things that are its own, in their order, each once. */
    public static function holds(string $name, BackedEnum $kind, int $most, string $doc): self
    {
        return new self($name, new ListType(TextType::ulid(), $most), $doc, false, false, [], new Reference((string) $kind->value, Bond::Holds));
    }

    /** Records of one shape. A record that joins a thing goes when that goes; one that mentions it has the field cleared. */
    public static function records(string $name, Shape $of, int $most, string $doc): self
    {
        return new self($name, new ListType(new RecordType($of), $most), $doc, false, false, []);
    }

    private static function referring(string $name, BackedEnum $kind, Bond $bond, string $doc): self
    {
        return new self($name, TextType::ulid(), $doc, true, false, null, new Reference((string) $kind->value, $bond));
    }

    public static function flag(string $name, string $doc, bool $default = false): self
    {
        return new self($name, new FlagType, $doc, false, false, $default);
    }

    public static function whole(string $name, int $lowest, int $highest, string $doc, ?int $default = null, ?string $unit = null): self
    {
        return new self($name, new WholeType($lowest, $highest), $doc, false, false, $default, null, $unit);
    }

    public static function number(string $name, float $lowest, float $highest, string $doc, ?float $default = null, ?string $unit = null): self
    {
        return new self($name, new NumberType($lowest, $highest), $doc, false, false, $default, null, $unit);
    }

    /** A short text that may be empty. */
    public static function label(string $name, int $longest, string $doc, string $default = ''): self
    {
        return new self($name, new TextType(0, $longest), $doc, false, false, $default);
    }

    /**
     * @template T of int|string
     *
     * @param  non-empty-list<T>  $choices
     * @param  T  $default
     */
    public static function oneOf(string $name, array $choices, string $doc, int|string $default, ?string $unit = null): self
    {
        return new self($name, new OneOfType($choices), $doc, false, false, $default, null, $unit);
    }

    /** @param  class-string<BackedEnum>  $enum */
    public static function choice(string $name, string $enum, string $doc): self
    {
        $choices = array_map(static fn (BackedEnum $case): int|string => $case->value, $enum::cases());

        return new self($name, new OneOfType($choices), $doc, true, false, null);
    }

    /** @param  class-string<BackedEnum>  $enum */
    public static function choices(string $name, string $enum, string $doc): self
    {
        $choices = array_map(static fn (BackedEnum $case): int|string => $case->value, $enum::cases());

        return new self($name, new ListType(new OneOfType($choices), count($choices)), $doc, false, false, []);
    }

    /** A choice that need not be made. */
    public static function choiceOr(string $name, BackedEnum $default, string $doc): self
    {
        $choices = array_map(static fn (BackedEnum $case): int|string => $case->value, $default::cases());

        return new self($name, new OneOfType($choices), $doc, false, false, $default->value);
    }

    public static function settings(string $name, string $doc): self
    {
        return new self($name, new SettingsType, $doc, false, false, []);
    }

    public static function texts(string $name, string $doc): self
    {
        return new self($name, new ListType(new TextType(1, 60), 40), $doc, false, false, []);
    }

    public static function wholes(string $name, int $lowest, int $highest, string $doc): self
    {
        return new self($name, new ListType(new WholeType($lowest, $highest), 40), $doc, false, false, []);
    }

    /** The same field, which may also be null and is null when absent. */
    public function nullable(): self
    {
        return new self($this->name, $this->type, $this->doc, false, true, null, $this->refers, $this->unit, $this->title, $this->assigned, $this->names, $this->seldom, $this->hexadecimal);
    }

    public function titled(string $title): self
    {
        return new self($this->name, $this->type, $this->doc, $this->required, $this->nullable, $this->default, $this->refers, $this->unit, $title, $this->assigned, $this->names, $this->seldom, $this->hexadecimal);
    }

    /** @param  list<string>  $names  of the choices, in their order */
    public function named(array $names): self
    {
        return new self($this->name, $this->type, $this->doc, $this->required, $this->nullable, $this->default, $this->refers, $this->unit, $this->title, $this->assigned, $names, $this->seldom, $this->hexadecimal);
    }

    /** Assign hands it out, so that a user may want to pin it. */
    public function assigned(): self
    {
        return new self($this->name, $this->type, $this->doc, $this->required, $this->nullable, $this->default, $this->refers, $this->unit, $this->title, true, $this->names, $this->seldom, $this->hexadecimal);
    }

    /** Most leave it as it is: a screen shows it when it is asked for, or is otherwise than usual. */
    public function seldom(): self
    {
        return new self($this->name, $this->type, $this->doc, $this->required, $this->nullable, $this->default, $this->refers, $this->unit, $this->title, $this->assigned, $this->names, true, $this->hexadecimal);
    }

    /** A whole number that people write in hexadecimal. */
    public function hexadecimal(): self
    {
        return new self($this->name, $this->type, $this->doc, $this->required, $this->nullable, $this->default, $this->refers, $this->unit, $this->title, $this->assigned, $this->names, $this->seldom, true);
    }

    /** @param  array<array-key, mixed>  $raw */
    public function accept(array $raw, string $place, Problems $problems): mixed
    {
        if (! array_key_exists($this->name, $raw)) {
            if ($this->required) {
                $problems->add($place, 'is missing');
            }

            return $this->default;
        }
        $value = $raw[$this->name];
        if ($value === null) {
            if (! $this->nullable) {
                $problems->add($place, 'must not be null: '.$this->type->wants());
            }

            return null;
        }

        return $this->type->accept($value, $place, $problems);
    }

    /** @return array<string, mixed> */
    public function schema(): array
    {
        $schema = $this->type->schema();
        if ($this->nullable) {
            $schema = ['anyOf' => [$schema, ['type' => 'null']]];
        }
        $doc = $this->unit === null ? $this->doc : rtrim($this->doc, '.').', '.$this->unit.'.';
        $schema['description'] = $doc;
        if (! $this->required) {
            $schema['default'] = $this->default === [] && $this->type instanceof SettingsType ? new stdClass : $this->default;
        }

        return $schema;
    }
}
