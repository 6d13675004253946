<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Plan\Endpoint;

/** What the part at a sending end makes of it: a bridge is told in words, a driver of several outputs begins several stretches. */
final readonly class PartAsked
{
    /** @return array<string, bool|int> what is set otherwise than the part is, as it should be */
    public static function unlike(Endpoint $end, ModuleClass $class): array
    {
        if (! $end->role->sends()) {
            return [];
        }
        $is = DmxEnd::of($end);
        $outputs = $class->figures['outputs'] ?? 0;
        $unlike = [];
        if ($is->bridges !== isset($class->figures['bridge'])) {
            $unlike['bridges'] = ! $is->bridges;
        }
        if (is_int($outputs) && $is->outputs !== $outputs) {
            $unlike['outputs'] = $outputs;
        }

        return $unlike;
    }

    public static function what(string $setting): string
    {
        return $setting === 'bridges' ? 'Who drives the wires of' : 'Outputs of the driver of';
    }

    public static function words(mixed $value): string
    {
        return match (true) {
            $value === true => 'a bridge that it tells',
            is_int($value) && $value > 0 => (string) $value,
            is_int($value) => 'one',
            default => 'it does itself',
        };
    }
}
