<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Plan\Control;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Route;

/** One hop of a route whose ends are both on its link, with what it joins. */
final readonly class Leg
{
    public function __construct(
        public Hop $hop,
        public Route $route,
        public Link $link,
        public Endpoint $from,
        public Node $sender,
        public Endpoint $to,
        public Node $receiver,
        public Control $control,
        public Output $output,
    ) {
    }
}
