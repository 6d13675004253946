<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio\Shown;

use Rundfunk\Shape\ListOf;

/** One end: its number, what it sends and hears. */
final readonly class KeyedEndFigures
{
    public function __construct(
        public string $endpointId,
        /** @var bool a board of one's own */
        public bool $board,
        /** @var string|null how its receiver's outputs behave */
        public ?string $answers,
        /** @var string|null its number, hexadecimal */
        public ?string $sender,
        /** @var list<string> */
        #[ListOf('string')]
        public array $sends,
        /** @var list<string> */
        #[ListOf('string')]
        public array $hears,
    ) {
    }
}
