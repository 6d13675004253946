<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Medium\Media;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\HandsOutCodes;
use Rundfunk\Routes\SaysCommands;

/** The numbers by which a node's program knows messages: their command code where they bear one, otherwise counted from 1 in the order of their routes. */
final class MessageNumbers
{
    /** @var array<string, array<string, int>> by end, by mark */
    private array $counted = [];

    public function __construct(private readonly Plan $plan, private readonly Media $media)
    {
    }

    /** @return int|null null while the hop has no code, or nothing says what it is asked by */
    public function heard(Hop $hop): ?int
    {
        return $this->number($hop, 'heard '.$hop->toId, fn (): array => $this->plan->hopsTo($this->plan->endpoint($hop->toId)));
    }

    /** @return int|null null while the hop has no code, or nothing says what it is asked by */
    public function told(Hop $hop): ?int
    {
        return $this->number($hop, 'told '.$hop->fromId, fn (): array => $this->plan->hopsFrom($this->plan->endpoint($hop->fromId)));
    }

    public function showsSender(Hop $hop): bool
    {
        return $this->apart($hop)?->showsSender($this->plan, $hop) ?? false;
    }

    /** What a hop is on the air, in words. */
    public function words(Hop $hop): string
    {
        $medium = $this->plan->link($hop->linkId)->medium;

        return $this->media->offering(SaysCommands::class, $medium)?->saying($this->plan, $hop) ?? ($hop->code === null ? 'no code yet' : sprintf('code 0x%02X', $hop->code));
    }

    private function apart(Hop $hop): ?TellsMessagesApart
    {
        return $this->media->offering(TellsMessagesApart::class, $this->plan->link($hop->linkId)->medium);
    }

    /** @param  callable(): list<Hop>  $beside  the hops of its end, itself among them */
    private function number(Hop $hop, string $end, callable $beside): ?int
    {
        if ($this->media->offering(HandsOutCodes::class, $this->plan->link($hop->linkId)->medium)?->codes($this->plan, $hop) !== null) {
            return $hop->code;
        }
        $mark = $this->apart($hop)?->mark($this->plan, $hop);
        if ($mark === null) {
            return null;
        }
        if (! isset($this->counted[$end])) {
            $this->counted[$end] = [];
            foreach ($beside() as $one) {
                $other = $this->apart($one)?->mark($this->plan, $one);
                if ($other !== null) {
                    $this->counted[$end][$other] ??= count($this->counted[$end]) + 1;
                }
            }
        }

        return $this->counted[$end][$mark];
    }
}
