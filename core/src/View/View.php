<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Thing;

/** Something that a screen shows of a plan, worked out of it when the screen asks. A class a view; {@see Views} holds them all. */
interface View
{
    /** As addresses and the command line name it: "pin-table". */
    public function key(): string;

    /** @return class-string<Thing>|null of what kind of thing it is; null for one of the whole plan */
    public function owner(): ?string;

    /** @return class-string a readonly class; what {@see of} gives is one of it, and the description of the interface is drawn from it */
    public function shape(): string;

    /**
     * @param  string  $of  id of the owner; of a view of the whole plan, how it is wanted, if there are ways
     * @return object|null null where there is nothing to show
     */
    public function of(string $of, Plan $plan, Knowledge $knowledge): ?object;
}
