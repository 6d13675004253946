<?php

declare(strict_types=1);

namespace Tests\Core;

use Symfony\Component\Process\Process;

/** A folder that lasts as long as a test, and programs of others that run in it: compilers, a board's simulator. */
trait RunsPrograms
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/rundfunk-programs-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), (array) glob($this->folder.'/*'));
        rmdir($this->folder);
    }

    private function execute(string ...$command): string
    {
        $process = new Process(array_values($command), $this->folder, timeout: 120);
        $process->run();
        self::assertTrue($process->isSuccessful() || $command[0] === 'simavr', $process->getOutput().$process->getErrorOutput());

        return $process->getOutput().($command[0] === 'simavr' ? $process->getErrorOutput() : '');
    }
}
