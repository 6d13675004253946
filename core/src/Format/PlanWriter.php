<?php

declare(strict_types=1);

namespace Rundfunk\Format;

use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;
use stdClass;

/** Writes a plan file. The same plan always gives the same bytes. */
final readonly class PlanWriter
{
    public function write(Plan $plan): string
    {
        return json_encode($this->toArray($plan), JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION)."\n";
    }

    /** @return array<string, mixed> */
    public function toArray(Plan $plan): array
    {
        $document = ['format' => Plan::FORMAT, 'plan' => $plan->properties->values()];
        foreach (ThingKind::cases() as $kind) {
            $things = $plan->all($kind);
            ksort($things, SORT_STRING);
            $document[$kind->plural()] = array_map(self::plain(...), array_values($things));
        }

        return $document;
    }

    /** @return array<string, mixed> a thing's values, with empty settings as an object rather than a list */
    public static function plain(Thing $thing): array
    {
        $values = $thing->values();
        if (($values['settings'] ?? null) === []) {
            $values['settings'] = new stdClass;
        }

        return $values;
    }
}
