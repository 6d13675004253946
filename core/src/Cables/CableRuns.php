<?php

declare(strict_types=1);

namespace Rundfunk\Cables;

use Rundfunk\Check\Look;
use Rundfunk\Plan\Cable;

/** All cables of a plan with what goes through them, worked out once a look. */
final readonly class CableRuns
{
    /**
     * @param  list<CableRun>  $runs
     * @param  array<string, true>  $between  pairs of nodes, the one way and the other
     */
    private function __construct(public array $runs, private array $between)
    {
    }

    public static function in(Look $look): self
    {
        return $look->once(self::class, static function () use ($look): self {
            $cables = $look->plan->of(Cable::class);
            $between = [];
            foreach ($cables as $cable) {
                $between["{$cable->fromId} {$cable->toId}"] = true;
                $between["{$cable->toId} {$cable->fromId}"] = true;
            }

            return new self(array_map(static fn (Cable $cable): CableRun => CableRun::of($look, $cable), $cables), $between);
        });
    }

    public function lies(string $fromId, string $toId): bool
    {
        return isset($this->between["{$fromId} {$toId}"]);
    }
}
