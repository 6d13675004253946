<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** What the product is served by must be what its tests have seen: PHP's compiler has worked figures out wrongly (docs/adr/0023). */
final class CompiledTest extends TestCase
{
    private const ROOT = __DIR__.'/../..';

    /** @return iterable<string, array{string}> what PHP is set to, as the lines of a file of settings */
    public static function settings(): iterable
    {
        $start = new Process(['bash', '-c', 'source scripts/common.sh; source scripts/server.sh; printf "%s\n" "${SERVER_PHP[@]}"'], self::ROOT);
        yield 'the start command' => [implode("\n", array_filter(explode("\n", $start->mustRun()->getOutput()), static fn (string $line): bool => $line !== '-d'))];
        preg_match('/^```ini file=\S+conf\.d\S+\n(.*?)^```/ms', (string) file_get_contents(self::ROOT.'/docs/operations.md'), $block);
        yield 'the page for operators' => [$block[1]."opcache.enable_cli = 1\n"];
    }

    #[DataProvider('settings')]
    public function test_nothing_is_compiled_while_it_runs(string $settings): void
    {
        $folder = sys_get_temp_dir().'/rundfunk-settings-'.bin2hex(random_bytes(6));
        mkdir($folder);
        file_put_contents("{$folder}/served.ini", $settings);
        $asked = new Process(['php', '-r', 'echo json_encode([opcache_get_status(false)["opcache_enabled"], opcache_get_status(false)["jit"]["enabled"]]);'], env: ['PHP_INI_SCAN_DIR' => ":{$folder}"]);
        $said = $asked->mustRun()->getOutput();
        unlink("{$folder}/served.ini");
        rmdir($folder);
        self::assertSame('[true,false]', $said);
    }
}
