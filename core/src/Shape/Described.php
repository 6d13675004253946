<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

/** What a class of hardware may say of itself: the schema that the shipped ones obey, but for what the thing itself says. */
enum Described: string
{
    case Board = 'board';
    case Module = 'module';

    /** What a description does not hold: its thing says it, or the class that it is a copy of. */
    private const ELSEWHERE = ['key', 'name', 'basis', 'group', 'medium', 'role', 'carries'];

    /** @return array<string, mixed> JSON Schema, draft 2020-12 */
    public function schema(): array
    {
        /** @var array<string, array<string, mixed>> $schemas */
        static $schemas = [];

        return $schemas[$this->value] ??= self::without((array) json_decode((string) file_get_contents(dirname(__DIR__, 2)."/catalogue/schema/{$this->value}.schema.json"), true, 32, JSON_THROW_ON_ERROR));
    }

    /**
     * @param  array<array-key, mixed>  $schema
     * @return array<string, mixed>
     */
    private static function without(array $schema): array
    {
        return [
            'type' => 'object',
            'properties' => array_diff_key((array) $schema['properties'], array_flip(self::ELSEWHERE)),
            'required' => array_values(array_filter((array) $schema['required'], static fn (mixed $name): bool => ! in_array($name, self::ELSEWHERE, true))),
            'additionalProperties' => false,
        ];
    }
}
