<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** One end of a link, with what it joins. */
final readonly class End
{
    /**
     * @param  Module|null  $module  the part that serves it, where one is named
     * @param  ModuleClass|null  $class  of that part
     */
    public function __construct(public Endpoint $endpoint, public Node $node, public Link $link, public ?Module $module, public ?ModuleClass $class)
    {
    }

    public function where(): string
    {
        return "{$this->node->name} on {$this->link->name}";
    }

    public function at(?string $field = null): Spot
    {
        return Spot::of($this->endpoint, $this->where(), $field);
    }

    /** The end's own settings, with their types. */
    public function settings(): Values
    {
        return new Values($this->endpoint->settings);
    }
}
