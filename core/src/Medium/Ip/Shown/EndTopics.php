<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Shown;

use Rundfunk\Shape\ListOf;

/** What a node says and is told on a network. */
final readonly class EndTopics
{
    public function __construct(
        /** @var list<IpTopic> */
        #[ListOf(IpTopic::class)]
        public array $topics,
    ) {
    }
}
