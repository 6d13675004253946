<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Shown;

use Rundfunk\Shape\ListOf;

/** What an end sends under one identifier. */
final readonly class CanRow
{
    public function __construct(
        public string $endpointId,
        /** @var string|null where it is described; null for the commands of this plan */
        public ?string $messageId,
        public string $sender,
        public string $name,
        /** @var string hexadecimal */
        public string $identifier,
        public int $bytes,
        /** @var float|null milliseconds; null where it comes when something changes */
        public ?float $periodMs,
        /** @var float milliseconds within which it has to be there */
        public float $deadlineMs,
        /** @var float|null milliseconds at worst; null where it may wait for ever */
        public ?float $responseMs,
        /** @var list<string> who acts on it */
        #[ListOf('string')]
        public array $readers,
        /** @var list<CanBits> */
        #[ListOf(CanBits::class)]
        public array $signals,
    ) {
    }
}
