<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** A stretch of a strip in which an output is on, or at a value. */
final readonly class StripBar
{
    /**
     * @param  string  $routeId  what put it there
     * @param  int|null  $toMs  null when it stays so at the end
     */
    public function __construct(public string $routeId, public string $words, public int $fromMs, public ?int $toMs)
    {
    }

    public function until(int $ms): self
    {
        return new self($this->routeId, $this->words, $this->fromMs, $ms);
    }
}
