<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits;

use Rundfunk\Catalogue\SwitchedBy;
use Rundfunk\Check\Look;
use Rundfunk\Plan\ContactForm;
use Rundfunk\Plan\Output;

/** Whether two outputs that must never be on together can keep each other off by their contacts. */
final readonly class Interlock
{
    /** Its relay has a normally closed contact to spare for the other's line. */
    public static function isPossible(Look $look, Output $output): bool
    {
        $class = AllLoads::in($look)->classOf($output);

        return $class?->switches?->by === SwitchedBy::Relay && ! $class->keepsState && $output->contact === ContactForm::NormallyOpen;
    }
}
