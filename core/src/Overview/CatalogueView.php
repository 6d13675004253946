<?php

declare(strict_types=1);

namespace Rundfunk\Overview;

use Rundfunk\Catalogue\Board;
use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Catalogue\Rail;
use Rundfunk\Catalogue\Region;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Medium;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Shape\Field;
use Rundfunk\Plan\Shape\FlagType;
use Rundfunk\Plan\Shape\OneOfType;
use Rundfunk\Plan\Shape\Shape;
use Rundfunk\Plan\Shape\WholeType;

/** The catalogue as screens offer it. */
final readonly class CatalogueView
{
    /** @return array<string, mixed> */
    public static function of(Knowledge $knowledge): array
    {
        return [
            'boards' => array_map(static fn (Board $board): array => [
                'key' => $board->key,
                'name' => $board->name,
                'logicV' => $board->logicV,
                'pins' => array_keys($board->pins),
                'rails' => array_map(static fn (Rail $rail): array => ['supply' => $rail->supply->value, 'name' => $rail->name, 'volts' => $rail->volts, 'limitMa' => $rail->limitMa], $board->rails),
                'basis' => $board->basis,
            ], array_values($knowledge->catalogue->boards)),
            'modules' => array_map(static fn (ModuleClass $class): array => [
                'key' => $class->key,
                'name' => $class->name,
                'group' => $class->group->value,
                'medium' => $class->medium,
                'carries' => $class->carries,
                'peakMa' => $class->peakMa,
                'terminals' => array_map(static fn (Terminal $terminal): array => ['name' => $terminal->name, 'needs' => $terminal->needs, 'carries' => $terminal->carries, 'doc' => $terminal->doc], array_values($class->terminals)),
                'advice' => $class->advice,
                'basis' => $class->basis,
            ], array_values($knowledge->catalogue->modules)),
            'regions' => array_map(static fn (Region $region): array => [
                'key' => $region->key,
                'name' => $region->name,
                'mainsV' => $region->mainsV,
                'asOf' => $region->asOf,
                'wifi' => $region->wifi,
            ], array_values($knowledge->catalogue->regions)),
            'media' => array_map(self::medium(...), $knowledge->media->all()),
            'actions' => self::actions(),
        ];
    }

    /** @return array<string, mixed> */
    private static function medium(Medium $medium): array
    {
        return [
            'key' => $medium->key(),
            'name' => $medium->name(),
            'form' => $medium->form()->value,
            'linkSettings' => self::fields($medium->linkSettings()),
            'endpointSettings' => self::fields($medium->endpointSettings()),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function fields(Shape $shape): array
    {
        return array_map(static fn (Field $field): array => [
            'name' => $field->name,
            'title' => $field->title ?? $field->name,
            'kind' => match (true) {
                $field->type instanceof OneOfType => 'choice',
                $field->type instanceof WholeType => 'whole',
                $field->type instanceof FlagType => 'flag',
                default => 'text',
            },
            'choices' => $field->type instanceof OneOfType ? $field->type->choices : [],
            'lowest' => $field->type instanceof WholeType ? $field->type->lowest : null,
            'highest' => $field->type instanceof WholeType ? $field->type->highest : null,
            'nullable' => $field->nullable,
            'unit' => $field->unit,
            'doc' => $field->doc,
        ], array_values($shape->fields));
    }

    /** @return list<array{control: string, actions: list<string>}> */
    private static function actions(): array
    {
        return array_map(static fn (ControlKind $kind): array => [
            'control' => $kind->value,
            'actions' => array_map(static fn (Action $action): string => $action->value, $kind->actions()),
        ], ControlKind::cases());
    }
}
