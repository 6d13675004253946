<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Attribute;
use LogicException;
use ReflectionClass;

/** What a rule's findings are called, and on which step they show. */
#[Attribute(Attribute::TARGET_CLASS)]
final readonly class Finds
{
    /** @param  string  $key  as plans that accept a finding know it: it never changes */
    public function __construct(public string $key, public WorkStep $step)
    {
    }

    public static function of(Rule $rule): self
    {
        $attributes = (new ReflectionClass($rule))->getAttributes(self::class);

        return $attributes === [] ? throw new LogicException($rule::class.' does not say what it finds.') : $attributes[0]->newInstance();
    }
}
