<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

use stdClass;

/** An ordered set of fields: what one kind of thing, or one medium's settings, may hold. */
final readonly class Shape
{
    /** @param  array<string, Field>  $fields */
    private function __construct(public array $fields)
    {
    }

    public static function of(Field ...$fields): self
    {
        $byName = [];
        foreach ($fields as $field) {
            $byName[$field->name] = $field;
        }

        return new self($byName);
    }

    public function field(string $name): ?Field
    {
        return $this->fields[$name] ?? null;
    }

    public function with(Field ...$fields): self
    {
        return self::of(...array_values($this->fields), ...$fields);
    }

    /**
     * Takes raw values in, filling what is absent from the defaults.
     *
     * @param  Problems  $problems  gathers whatever is wrong, by place
     * @return array<string, mixed> only sound when no problem was added
     */
    public function accept(mixed $raw, string $place, Problems $problems): array
    {
        if (! is_array($raw) || ($raw !== [] && array_is_list($raw))) {
            $problems->add($place, 'must be an object');

            return [];
        }
        foreach (array_keys($raw) as $name) {
            if (! isset($this->fields[$name])) {
                $problems->add($place.'/'.Problems::segment((string) $name), 'is not a known field here');
            }
        }
        $accepted = [];
        foreach ($this->fields as $name => $field) {
            $accepted[$name] = $field->accept($raw, $place.'/'.$name, $problems);
        }

        return $accepted;
    }

    /**
     * Values that were sound once: what is absent has its default, what is no field any more is left out.
     *
     * @param  array<array-key, mixed>  $kept
     * @return array<string, mixed>
     */
    public function completed(array $kept): array
    {
        $completed = [];
        foreach ($this->fields as $name => $field) {
            $completed[$name] = array_key_exists($name, $kept) ? $kept[$name] : $field->default;
        }

        return $completed;
    }

    /** @return array<string, mixed> JSON Schema, draft 2020-12 */
    public function schema(): array
    {
        $properties = [];
        $required = [];
        foreach ($this->fields as $name => $field) {
            $properties[$name] = $field->schema();
            if ($field->required) {
                $required[] = $name;
            }
        }

        return [
            'type' => 'object',
            'properties' => $properties === [] ? new stdClass : $properties,
            'required' => $required,
            'additionalProperties' => false,
        ];
    }
}
