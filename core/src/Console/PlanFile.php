<?php

declare(strict_types=1);

namespace Rundfunk\Console;

use Rundfunk\Format\PlanReader;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;

final readonly class PlanFile
{
    public static function read(string $path, Knowledge $knowledge): Plan
    {
        $json = is_file($path) && is_readable($path) ? file_get_contents($path, false, null, 0, PlanReader::LARGEST + 1) : false;

        return (new PlanReader($knowledge))->read($json === false ? throw BadCommand::noFile($path) : $json);
    }

    public static function write(string $path, Plan $plan): void
    {
        if (@file_put_contents($path, (new PlanWriter)->write($plan)) === false) {
            throw BadCommand::cannotWrite($path);
        }
    }
}
