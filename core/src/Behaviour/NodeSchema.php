<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Shape\ResultSchema;

/** The JSON Schema of a node's tables, drawn from their classes. */
final readonly class NodeSchema
{
    /** @return array<string, mixed> */
    public static function document(): array
    {
        $classes = ResultSchema::of([NodeTables::class]);
        $text = json_encode($classes, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES);
        /** @var array<string, array<string, mixed>> $defs */
        $defs = json_decode(str_replace('#/components/schemas/', '#/$defs/', $text), true, 64, JSON_THROW_ON_ERROR);

        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            'title' => 'What a node does: the tables that its behaviour is made from',
            ...$defs['NodeTables'],
            '$defs' => array_diff_key($defs, ['NodeTables' => true]),
        ];
    }
}
