<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Helper;
use Opis\JsonSchema\Validator;

/** What a class of hardware says of itself, judged by the schema that the shipped ones obey, and kept within what arithmetic and paper bear. */
final readonly class DescribedType implements FieldType
{
    private const LONGEST = 400;

    private const MOST_ITEMS = 150;

    private const MOST = 1_000_000;

    public function __construct(public Described $what)
    {
    }

    public function accept(mixed $value, string $place, Problems $problems): mixed
    {
        if (! is_array($value) || ($value !== [] && array_is_list($value))) {
            $problems->add($place, 'must be '.$this->wants());

            return [];
        }
        $before = $problems->count();
        $this->bound($value, $place, $problems);
        if ($problems->count() > $before) {
            return [];
        }
        $error = (new Validator)->setMaxErrors(20)->validate(Helper::toJSON($value), json_encode($this->what->schema(), JSON_THROW_ON_ERROR))->error();
        foreach ($error === null ? [] : (new ErrorFormatter)->format($error, true, null, static fn (ValidationError $one): string => '/'.implode('/', array_map(static fn (int|string $part): string => Problems::segment("{$part}"), $one->data()->fullPath()))) as $at => $messages) {
            foreach ((array) $messages as $message) {
                $problems->add(rtrim($place.$at, '/'), is_string($message) ? lcfirst($message) : 'will not do');
            }
        }

        return $value;
    }

    /** @param  array<array-key, mixed>  $value */
    private function bound(array $value, string $place, Problems $problems): void
    {
        if (count($value) > self::MOST_ITEMS) {
            $problems->add($place, 'holds more than '.self::MOST_ITEMS.' items');

            return;
        }
        foreach ($value as $name => $item) {
            $at = $place.'/'.Problems::segment((string) $name);
            if (is_array($item)) {
                $this->bound($item, $at, $problems);
            } elseif (is_string($item)) {
                (new TextType(1, self::LONGEST))->accept($item, $at, $problems);
            } elseif ((is_int($item) || is_float($item)) && ! (abs($item) <= self::MOST)) {
                $problems->add($at, 'must be a number from -'.self::MOST.' to '.self::MOST);
            }
        }
    }

    public function wants(): string
    {
        return "an object that describes a {$this->what->value}";
    }

    public function schema(): array
    {
        return $this->what->schema();
    }
}
