<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Shown;

/** A frame that goes from one node to another, or a stretch in which nobody speaks. */
final readonly class SerialStroke
{
    /**
     * @param  int  $from  column
     * @param  int  $to  column; the same for a rest
     */
    public function __construct(public SerialStrokeKind $kind, public int $from, public int $to, public float $fromMs, public float $toMs, public string $label)
    {
    }
}
