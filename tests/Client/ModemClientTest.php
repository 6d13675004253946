<?php

declare(strict_types=1);

namespace Tests\Client;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\InputStream;
use Symfony\Component\Process\Process;

/** A real AT client, gammu of Debian, speaks to the modem stand-in over a pty. */
final class ModemClientTest extends TestCase
{
    private string $folder;

    private InputStream $end;

    private Process $pty;

    private string $device = '';

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/rundfunk-modem-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
        $this->end = new InputStream;
        $this->pty = new Process(['/usr/bin/python3', __DIR__.'/modem-pty.py', dirname(__DIR__, 2)], null, ['RUNDFUNK_OUTBOX' => $this->folder.'/outbox.json'], $this->end, 60);
        $this->pty->start();
        $this->pty->waitUntil(static fn (string $type, string $output): bool => str_contains($output, '/dev/'));
        $this->device = trim($this->pty->getOutput());
        file_put_contents($this->folder.'/gammurc', "[gammu]\ndevice = {$this->device}\nconnection = at\n");
    }

    protected function tearDown(): void
    {
        $this->end->write("end\n");
        $this->end->close();
        $this->pty->stop(2);
        array_map(unlink(...), (array) glob($this->folder.'/*'));
        rmdir($this->folder);
    }

    private function gammu(string ...$arguments): string
    {
        $process = new Process(['gammu', '-c', $this->folder.'/gammurc', ...$arguments], timeout: 40);
        $process->run();
        self::assertSame(0, $process->getExitCode(), $process->getOutput().$process->getErrorOutput());

        return $process->getOutput();
    }

    public function test_it_is_recognised_and_sends_a_text_word_for_word(): void
    {
        self::assertStringContainsString('Rundfunk', $this->gammu('identify'));
        $this->gammu('sendsms', 'TEXT', '+442079460321', '-text', 'Frost at the gate: -2 C [now]');
        $sent = json_decode((string) file_get_contents($this->folder.'/outbox.json'), true, 8, JSON_THROW_ON_ERROR);
        self::assertSame([['to' => '+442079460321', 'text' => 'Frost at the gate: -2 C [now]']], $sent);
    }
}
