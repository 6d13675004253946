<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

/** A bag of single values by name. Which names and values are right is for the medium's own shape to say. */
final readonly class SettingsType implements FieldType
{
    private const MOST = 60;

    public function accept(mixed $value, string $place, Problems $problems): mixed
    {
        $isBag = is_array($value) && count($value) <= self::MOST && ($value === [] || ! array_is_list($value));
        if (! $isBag) {
            $problems->add($place, 'must be '.$this->wants());

            return [];
        }
        foreach ($value as $name => $item) {
            if ($item !== null && ! is_scalar($item)) {
                $problems->add($place.'/'.Problems::segment((string) $name), 'must be a single value');
            }
        }

        return $value;
    }

    public function wants(): string
    {
        return 'an object of at most '.self::MOST.' settings';
    }

    public function schema(): array
    {
        return ['type' => 'object', 'maxProperties' => self::MOST, 'additionalProperties' => [
            'anyOf' => [['type' => 'string'], ['type' => 'number'], ['type' => 'boolean'], ['type' => 'null']],
        ]];
    }
}
