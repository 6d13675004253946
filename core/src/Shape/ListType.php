<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

final readonly class ListType implements FieldType
{
    public function __construct(public FieldType $of, public int $longest)
    {
    }

    public function accept(mixed $value, string $place, Problems $problems): mixed
    {
        if (! is_array($value) || ! array_is_list($value) || count($value) > $this->longest) {
            $problems->add($place, 'must be '.$this->wants());

            return null;
        }
        $accepted = [];
        foreach ($value as $index => $item) {
            $accepted[] = $this->of->accept($item, $place.'/'.$index, $problems);
        }

        return $accepted;
    }

    public function wants(): string
    {
        return "a list of at most {$this->longest}, each ".$this->of->wants();
    }

    public function schema(): array
    {
        return ['type' => 'array', 'items' => $this->of->schema(), 'maxItems' => $this->longest];
    }
}
