<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

/** JSON Schema in few words. */
final readonly class Schema
{
    /** @return array<string, mixed> */
    public static function text(): array
    {
        return ['type' => 'string'];
    }

    /** @return array<string, mixed> */
    public static function whole(): array
    {
        return ['type' => 'integer'];
    }

    /** @return array<string, mixed> */
    public static function number(): array
    {
        return ['type' => 'number'];
    }

    /** @return array<string, mixed> */
    public static function flag(): array
    {
        return ['type' => 'boolean'];
    }

    /** @return array<string, mixed> */
    public static function oneOf(string ...$choices): array
    {
        return ['type' => 'string', 'enum' => array_values($choices)];
    }

    /** @return array<string, mixed> */
    public static function ref(string $name): array
    {
        return ['$ref' => '#/components/schemas/'.$name];
    }

    /**
     * @param  array<string, mixed>  $item
     * @return array<string, mixed>
     */
    public static function listOf(array $item): array
    {
        return ['type' => 'array', 'items' => $item];
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    public static function orNull(array $schema): array
    {
        return ['anyOf' => [$schema, ['type' => 'null']]];
    }

    /**
     * @param  array<string, array<string, mixed>>  $properties  all of them required
     * @return array<string, mixed>
     */
    public static function object(array $properties): array
    {
        return ['type' => 'object', 'properties' => $properties, 'required' => array_keys($properties)];
    }

    /** @return array<string, mixed> */
    public static function anyObject(): array
    {
        return ['type' => 'object', 'additionalProperties' => true];
    }
}
