<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Shape\Values;

/** A class of supply: what it gives, and what it wants for that. */
final readonly class SupplyClass
{
    /** What a class is called that says nothing of itself. */
    public const OTHER = 'other';

    public const LINE = 'line';

    /**
     * @param  float|null  $volts  as it is sold; null where the user has to say
     * @param  float|null  $minV  of a battery that is nearly empty
     * @param  float|null  $maxV  of a battery that is full
     * @param  float  $tolerancePercent  of what it gives, either way
     * @param  float|null  $limitMa  null where nothing is known of it, or where its board says
     * @param  array{float, float}|null  $adjustable  from and to, volts
     * @param  bool  $fused  it wants a fuse at its terminal
     */
    public function __construct(
        public string $key,
        public string $name,
        public SupplySort $sort,
        public ?float $volts,
        public ?float $minV,
        public ?float $maxV,
        public float $tolerancePercent,
        public ?float $limitMa,
        public float $sourceOhm,
        public ?array $adjustable,
        public ?SupplyInput $takes,
        public ?Cell $cell,
        public bool $fused,
        public string $advice,
        public string $basis,
    ) {
    }

    public static function from(Values $values): self
    {
        $gives = $values->within('gives') ?? new Values([]);
        $adjustable = $gives->within('adjustable');
        $takes = $values->within('takes');
        $cell = $values->within('cell');

        return new self(
            $values->text('key'),
            $values->text('name'),
            $values->choice('sort', SupplySort::class),
            $gives->numberOrNull('volts'),
            $gives->numberOrNull('minV'),
            $gives->numberOrNull('maxV'),
            $gives->numberOrNull('tolerancePercent') ?? 0.0,
            $gives->numberOrNull('limitMa'),
            $gives->numberOrNull('sourceOhm') ?? 0.0,
            $adjustable === null ? null : [$adjustable->number('fromV'), $adjustable->number('toV')],
            $takes === null ? null : SupplyInput::from($takes),
            $cell === null ? null : Cell::from($cell),
            $values->has('fused'),
            $values->text('advice'),
            $values->text('basis'),
        );
    }

    public function isBoardPin(): bool
    {
        return $this->sort === SupplySort::BoardPin;
    }
}
