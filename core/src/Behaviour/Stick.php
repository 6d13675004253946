<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** A position: one direction of a stick, a potentiometer, a slider of a page. */
final readonly class Stick
{
    /** How far it must be pushed for one step, and how far it must come back before the next: −1024…1024. */
    public const ZONE = 512;

    public const ZONE_LEFT = 384;

    /**
     * @param  int  $everyMs  how often it is looked at
     * @param  int  $repeatMs  how often its value is told though it is still the same; 0 for never
     */
    public function __construct(
        public string $name,
        public Axis $axis,
        public int $everyMs,
        public int $repeatMs,
        public Does $does,
    ) {
    }

    /** @return int −1, 0 or 1: pushed down, at rest, pushed up */
    public static function zone(int $before, int $position): int
    {
        return match (true) {
            $position >= self::ZONE => 1,
            $position <= -self::ZONE => -1,
            $before === 1 && $position >= self::ZONE_LEFT, $before === -1 && $position <= -self::ZONE_LEFT => $before,
            default => 0,
        };
    }

    /** Which way it is pushed for a step: a step down is a push down. */
    public static function side(?int $step): int
    {
        return ($step ?? 1) < 0 ? -1 : 1;
    }
}
