<?php

declare(strict_types=1);

namespace Rundfunk\Format;

use Rundfunk\Medium\Media;
use Rundfunk\Medium\Medium;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\PlanProperties;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Shape\Schema;

/** The JSON Schema of plan files, drawn up from the shapes that the reader itself obeys. */
final readonly class PlanSchema
{
    public function __construct(private Media $media)
    {
    }

    /** @return array<string, mixed> JSON Schema, draft 2020-12 */
    public function document(): array
    {
        $definitions = [];
        $lists = [];
        foreach (ThingKind::cases() as $kind) {
            $schema = $kind->shape()->schema();
            if ($kind === ThingKind::Link) {
                $schema['allOf'] = $this->settingsByMedium();
            }
            if ($kind === ThingKind::Endpoint) {
                // Which of them, the medium of its link says; a schema cannot look that up.
                $schema['allOf'] = [['properties' => ['settings' => ['anyOf' => array_map(
                    static fn (Medium $medium): array => ['title' => $medium->name(), ...$medium->endpointSettings()->schema()],
                    $this->media->all(),
                )]]]];
            }
            if ($kind === ThingKind::Control || $kind === ThingKind::Output) {
                $schema['allOf'] = self::settingsByKind($kind === ThingKind::Control ? ControlKind::cases() : OutputKind::cases());
            }
            $definitions[$kind->value] = $schema;
            $lists[$kind->plural()] = [
                'type' => 'array',
                'items' => ['$ref' => '#/$defs/'.$kind->value],
                'maxItems' => $kind->limit(),
                'default' => [],
            ];
        }

        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            '$id' => 'urn:rundfunk:plan:'.Plan::FORMAT,
            'title' => 'A Rundfunk plan',
            'type' => 'object',
            'properties' => [
                'format' => ['const' => Plan::FORMAT],
                'plan' => PlanProperties::shape()->schema(),
                ...$lists,
            ],
            'required' => ['format', 'plan'],
            'additionalProperties' => false,
            '$defs' => $definitions,
        ];
    }

    /**
     * @param  list<ControlKind|OutputKind>  $kinds
     * @return list<array<string, mixed>>
     */
    private static function settingsByKind(array $kinds): array
    {
        return array_map(static fn (ControlKind|OutputKind $kind): array => [
            'if' => ['properties' => ['kind' => ['const' => $kind->value]]],
            'then' => ['properties' => ['settings' => $kind->settings()->schema()]],
        ], $kinds);
    }

    /** @return list<array<string, mixed>> */
    private function settingsByMedium(): array
    {
        $branches = [];
        foreach ($this->media->all() as $medium) {
            $branches[] = [
                'if' => ['properties' => ['medium' => ['const' => $medium->key()]]],
                'then' => ['properties' => ['settings' => $medium->linkSettings()->schema()]],
            ];
        }

        return $branches;
    }
}
