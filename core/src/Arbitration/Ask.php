<?php

declare(strict_types=1);

namespace Rundfunk\Arbitration;

use Rundfunk\Plan\Action;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Route;

/** What a master asks of an output when it has its say. */
final readonly class Ask
{
    /**
     * @param  int  $master  which of the output's masters it is; only told apart
     * @param  bool  $byHand  somebody works it, as against something that happens by itself
     * @param  int|null  $value  for a set, to what; for a step, how far
     */
    public function __construct(
        public int $master,
        public Action $action,
        public bool $byHand,
        public ?int $value = null,
    ) {
    }

    public static function of(Control $control, Route $route, int $master = 0): self
    {
        return new self($master, $route->action, $control->kind->isByHand(), $route->value);
    }
}
