<?php

declare(strict_types=1);

namespace Rundfunk\SafeState;

use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;

/** Why nothing is proven of an output, and who has to look. */
final readonly class LeftToOwner
{
    public static function why(Output $output): string
    {
        return match (true) {
            $output->kind === OutputKind::Function => 'Bought: its maker decides, and its owner tries each case out.',
            $output->kind === OutputKind::Servo => 'It goes to its first place when the program begins, and is slack without power.',
            $output->kind === OutputKind::Strip => 'It stays as it was last told, and is dark when its supply comes.',
            $output->moduleId === null || $output->channel === null => 'It is on no channel yet.',
            default => 'It is on no pin yet.',
        };
    }
}
