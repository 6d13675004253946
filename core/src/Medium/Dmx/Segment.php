<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Plan\Endpoint;

/** One stretch of cable without a splitter in it, from what drives it to the last that listens. */
final readonly class Segment
{
    /**
     * @param  Endpoint|null  $fedBy  the sender, or the splitter at which it begins; null where nothing feeds it
     * @param  list<Endpoint>  $ends  that hang on it, in their order along the cable, without what feeds it
     */
    public function __construct(public int $number, public ?Endpoint $fedBy, public array $ends)
    {
    }

    public function last(): ?Endpoint
    {
        return $this->ends === [] ? null : $this->ends[count($this->ends) - 1];
    }
}
