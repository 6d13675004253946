<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Plan\Endpoint;

/** What the part at a sending end makes of it: a bridge is told in words, a driver of several outputs begins several stretches. */
final readonly class PartAsked
{
    /** @return array<string, bool|int|string> what is set otherwise than the part is, as it should be */
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
            if (! $is->bridges && ! BridgeForm::isReadable($is->template)) {
                $unlike['template'] = BridgeForm::USUAL;
            }
        }
        if (is_int($outputs) && $is->outputs !== $outputs) {
            $unlike['outputs'] = $outputs;
        }

        return $unlike;
    }

    public static function what(string $setting): string
    {
        return match ($setting) {
            'bridges' => 'Who drives the wires of',
            'template' => 'Words for the bridge of',
            default => 'Outputs of the driver of',
        };
    }

    public static function words(mixed $value): string
    {
        return match (true) {
            $value === true => 'a bridge that it tells',
            is_int($value) && $value > 0 => (string) $value,
            is_int($value) => 'one',
            is_string($value) => $value,
            default => 'it does itself',
        };
    }
}
