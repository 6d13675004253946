<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

/** One topic of a broker. */
final readonly class Topic
{
    private const MOST_BYTES = 65_535;

    public function __construct(
        public string $name,
        public TopicKind $kind,
        public string $nodeId,
        public string $thingId,
        public string $what,
        public int $qos,
        public bool $retained,
        public string $payload,
    ) {
    }

    /** Why no message can be published to it. Source: MQTT 3.1.1, 4.7. */
    public static function fault(string $name): ?string
    {
        return match (true) {
            $name === '' => 'it is empty',
            strpbrk($name, '+#') !== false => 'it holds + or #, which stand for any topic',
            str_contains($name, "\0") => 'it holds a nought byte',
            strlen($name) > self::MOST_BYTES => 'it is too long',
            str_starts_with($name, '$') => 'it begins with $, which is the broker\'s own',
            str_starts_with($name, '/') || str_ends_with($name, '/') || str_contains($name, '//') => 'one of its levels is empty',
            preg_match('/\s/', $name) === 1 => 'it holds a blank, which is typed differently at two ends',
            default => null,
        };
    }
}
