<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Learn\CodeSet;
use Rundfunk\Learn\LaysOutSets;
use Rundfunk\Learn\LearnsCodes;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** Codes of bought things: learned, told in short, laid out as sets. */
final readonly class IrCodebook implements LaysOutSets, LearnsCodes
{
    public function __construct(private Protocols $protocols)
    {
    }

    public function learn(string $text, array $known): array
    {
        return IrLearning::from($text, $known, $this->protocols);
    }

    public function inShort(KeyCode $code): string
    {
        return IrWords::inShort($code);
    }

    public function setShape(): Shape
    {
        return IrSet::shape($this->protocols);
    }

    public function layOut(Plan $plan, Node $node, Values $values): CodeSet
    {
        return IrSet::layOut($plan, $node, $values, $this->protocols);
    }
}
