<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Closure;

/**
 * What the things of one kind hold, field by field, in blocks of so many things. A block is unpacked when somebody asks for
 * what is in it: most fields of most things are never asked for while a plan is edited.
 */
final class Columns
{
    private const BLOCK = 128;

    /** @var array<string, int>|null by id */
    private ?array $places = null;

    /** @var array<string, array<int, list<mixed>>> by field: the blocks that were asked for */
    private array $unpacked = [];

    /** @var array<string, array<string, mixed>> by field: what each thing holds, by id */
    private array $byId = [];

    /**
     * @param  list<string>  $ids
     * @param  array<string, list<string>>  $blocks  by field, in the order in which the class is constructed, without the id
     * @param  Closure(string): list<mixed>  $unpack
     */
    public function __construct(public readonly array $ids, private readonly array $blocks, private readonly Closure $unpack)
    {
    }

    /**
     * @param  array<string, Thing>  $things  by id
     * @param  list<string>  $fields  without the id
     * @param  Closure(list<mixed>): string  $pack
     * @return array{ids: list<string>, blocks: array<string, list<string>>} what it is constructed of
     */
    public static function packed(array $things, array $fields, Closure $pack): array
    {
        $blocks = [];
        foreach ($fields as $field) {
            $blocks[$field] = array_map($pack, array_chunk(array_column($things, $field), self::BLOCK));
        }

        return ['ids' => array_keys($things), 'blocks' => $blocks];
    }

    /** @return array<string, int> by id */
    public function places(): array
    {
        return $this->places ??= array_flip($this->ids);
    }

    /** @return list<mixed> of one thing, field after field, its id first */
    public function row(int $place): array
    {
        $row = [$this->ids[$place]];
        $block = intdiv($place, self::BLOCK);
        $at = $place % self::BLOCK;
        foreach ($this->blocks as $field => $blocks) {
            $row[] = ($this->unpacked[$field][$block] ??= ($this->unpack)($blocks[$block]))[$at];
        }

        return $row;
    }

    /** @return array<string, mixed> what a field of each holds, by id */
    public function of(string $field): array
    {
        return $this->byId[$field] ??= array_combine($this->ids, $field === 'id' ? $this->ids : $this->whole($field));
    }

    /** @return list<string> ids of those whose field holds just this */
    public function holding(string $field, mixed $value): array
    {
        $ids = [];
        foreach ($this->blocks[$field] as $block => $packed) {
            foreach (array_keys($this->unpacked[$field][$block] ??= ($this->unpack)($packed), $value, true) as $at) {
                $ids[] = $this->ids[$block * self::BLOCK + $at];
            }
        }

        return $ids;
    }

    /** @return list<mixed> */
    private function whole(string $field): array
    {
        $blocks = [];
        foreach ($this->blocks[$field] as $block => $packed) {
            $blocks[] = $this->unpacked[$field][$block] ??= ($this->unpack)($packed);
        }

        return array_merge(...$blocks);
    }
}
