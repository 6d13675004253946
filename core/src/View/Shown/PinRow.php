<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Catalogue\Level;
use Rundfunk\Shape\ListOf;

/** A pin of a board. */
final readonly class PinRow
{
    public function __construct(
        public string $name,
        /** @var int|null where it comes out on the board's header */
        public ?int $header,
        /** @var list<string> */
        #[ListOf('string')] public array $can,
        public bool $inputOnly,
        public bool $console,
        public ?Level $strap,
        public bool $led,
        public string $note,
        /** @var list<OnPin> */
        #[ListOf(OnPin::class)] public array $uses,
    ) {
    }
}
