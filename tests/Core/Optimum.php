<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Assert;
use Symfony\Component\Process\Process;

/** A proven optimum: minizinc with Gecode (Debian 12). */
final class Optimum
{
    /**
     * @param  array<string, string>  $data  as the model's language writes it
     * @return string the first line of what the model puts out
     */
    public static function of(string $model, array $data): string
    {
        $file = sys_get_temp_dir().'/optimum-'.getmypid();
        file_put_contents("{$file}.mzn", $model);
        file_put_contents("{$file}.dzn", implode("\n", array_map(static fn (string $name, string $value): string => "{$name} = {$value};", array_keys($data), $data)));
        $process = new Process(['minizinc', '--solver', 'gecode', "{$file}.mzn", "{$file}.dzn"], timeout: 60);
        $process->mustRun();
        unlink("{$file}.mzn");
        unlink("{$file}.dzn");
        Assert::assertStringContainsString('==========', $process->getOutput(), 'proven');

        return explode("\n", trim($process->getOutput()))[0];
    }

    /** @param  array<int, int|string>  $values */
    public static function list(array $values): string
    {
        return '['.implode(',', $values).']';
    }

    /** @param  array<int, int|string>  $values */
    public static function set(array $values): string
    {
        return '{'.implode(',', $values).'}';
    }
}
