<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Shown;

use Rundfunk\Shape\ListOf;

/** The figures of an infrared link: every code on it as marks and spaces, and each end. */
final readonly class IrFigures
{
    public function __construct(
        public bool $sunlit,
        /** @var list<IrCodeFigures> */
        #[ListOf(IrCodeFigures::class)]
        public array $codes,
        /** @var list<IrEndFigures> */
        #[ListOf(IrEndFigures::class)]
        public array $ends,
    ) {
    }
}
