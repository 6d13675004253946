<?php

declare(strict_types=1);

namespace Rundfunk\Calculator;

use Rundfunk\OutOfRange;

/** One formula that a person would want alone. */
interface Calculator
{
    /** As the command line and addresses name it. */
    public function name(): string;

    public function topic(): string;

    /** What people search for: "SMS length". */
    public function title(): string;

    /** The same in plain words: "How many texts a text is". */
    public function plainly(): string;

    public function formula(): string;

    /** Where the formula comes from. */
    public function source(): string;

    /** @return list<Quantity> */
    public function inputs(): array;

    /** @return list<Quantity> */
    public function outputs(): array;

    /**
     * @return array<string, bool|float|int|string|list<bool|float|int|string|null>|null> by output name
     *
     * @throws OutOfRange
     */
    public function calculate(Inputs $inputs): array;
}
