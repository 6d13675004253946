<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits;

use Rundfunk\Check\Look;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;

/** The discrete parts at what an output switches. */
final readonly class Parts
{
    public static function has(Look $look, Output $output, PartKind $kind): bool
    {
        foreach ($output->moduleId === null ? [] : $look->plan->partsOf($look->plan->module($output->moduleId)) as $part) {
            if ($part->kind === $kind && $part->terminal === $output->channel) {
                return true;
            }
        }

        return false;
    }

    public static function add(Look $look, Output $output, PartKind $kind): Operation
    {
        $module = (string) $output->moduleId;
        $terminal = (string) $output->channel;

        return Operation::add(new Part($look->plan->newId('part', $module, $terminal, $kind->value), $module, $terminal, $kind));
    }
}
