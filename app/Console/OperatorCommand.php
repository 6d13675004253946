<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;

/** A command for whoever runs the server. */
abstract class OperatorCommand extends Command
{
    protected function text(string $argument): string
    {
        $given = $this->argument($argument);

        return is_string($given) ? $given : '';
    }

    /** @return int the code with which a command that could not do it ends */
    protected function refuse(string $why): int
    {
        $this->error($why);

        return self::FAILURE;
    }
}
