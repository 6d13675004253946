<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Shown;

use Rundfunk\Medium\Ip\TopicKind;

/** A topic, and what goes over it. */
final readonly class IpTopic
{
    public function __construct(
        public string $node,
        public string $what,
        public TopicKind $kind,
        public string $topic,
        public int $qos,
        public bool $retained,
        public string $payload,
        /** @var string|null what is wrong with the name */
        public ?string $fault,
    ) {
    }
}
