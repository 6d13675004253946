<?php

declare(strict_types=1);

namespace Rundfunk\Learn\Shown;

/** Something that can be added to a plan, and whose it is. */
final readonly class DescribedThing
{
    /**
     * @param  string  $sender  as the file calls it; empty where it does not say
     * @param  string  $says  what it is, in words
     * @param  object  $values  its fields
     */
    public function __construct(public string $sender, public string $name, public string $says, public object $values)
    {
    }
}
