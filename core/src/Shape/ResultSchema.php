<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

use BackedEnum;
use LogicException;
use ReflectionClass;
use ReflectionNamedType;
use ReflectionParameter;

/** The JSON Schema of what is shown, drawn from the readonly classes themselves. */
final class ResultSchema
{
    /** @var array<string, array<string, mixed>> by short name */
    private array $schemas = [];

    /**
     * @param  list<class-string>  $classes
     * @return array<string, array<string, mixed>> a schema for each of them and for every class in them, by short name
     */
    public static function of(array $classes): array
    {
        $drawn = new self;
        foreach ($classes as $class) {
            $drawn->draw($class);
        }

        return $drawn->schemas;
    }

    /** @param  class-string  $class */
    private function draw(string $class): string
    {
        $reflected = new ReflectionClass($class);
        $name = $reflected->getShortName();
        if (isset($this->schemas[$name])) {
            return $name;
        }
        $this->schemas[$name] = [];
        $properties = [];
        foreach ($reflected->getConstructor()?->getParameters() ?? [] as $parameter) {
            $properties[$parameter->getName()] = $this->property($parameter, $class);
        }
        $this->schemas[$name] = Schema::object($properties);

        return $name;
    }

    /**
     * @param  class-string  $class
     * @return array<string, mixed>
     */
    private function property(ReflectionParameter $parameter, string $class): array
    {
        $type = $parameter->getType();
        if (! $type instanceof ReflectionNamedType) {
            throw new LogicException("{$class}::\${$parameter->getName()} must have one type.");
        }
        $list = $parameter->getAttributes(ListOf::class)[0] ?? null;
        $schema = match (true) {
            $list !== null => Schema::listOf($this->named($list->newInstance()->what)),
            in_array($type->getName(), ['array', 'object'], true) => Schema::anyObject(),
            default => $this->named($type->getName()),
        };

        return $type->allowsNull() ? Schema::orNull($schema) : $schema;
    }

    /** @return array<string, mixed> */
    private function named(string $type): array
    {
        return match (true) {
            // A schema that the interface has anyway, by its name.
            str_starts_with($type, '@') => Schema::ref(substr($type, 1)),
            $type === 'string' => Schema::text(),
            $type === 'int' => Schema::whole(),
            $type === 'float' => Schema::number(),
            $type === 'bool' => Schema::flag(),
            enum_exists($type) && is_subclass_of($type, BackedEnum::class) => Schema::oneOf(...array_map(static fn (BackedEnum $case): string => (string) $case->value, $type::cases())),
            class_exists($type) => Schema::ref($this->draw($type)),
            default => throw new LogicException("Nothing tells how \"{$type}\" is shown."),
        };
    }
}
