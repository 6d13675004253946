<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Behaviour\CConstants;
use Rundfunk\Build\CHeader;
use Rundfunk\Plan\Node;
use Tests\Core\CoreTestCase;
use Tests\Core\RunsPrograms;

/** What tables that never change take of an 8-bit board's memory, against the compiler's own count (avr-gcc 5.4, avr-size). */
final class ConstantsTest extends CoreTestCase
{
    use RunsPrograms;

    /** @return iterable<string, array{string}> */
    public static function nodes(): iterable
    {
        yield 'key codes that are sent and heard' => ['Greenhouse'];
        yield 'a modem\'s dialogue and whom it obeys' => ['Gate post'];
        yield 'a toy\'s codes' => ['Pocket A'];
    }

    #[DataProvider('nodes')]
    public function test_the_compiler_puts_as_many_bytes_into_memory(string $name): void
    {
        $plan = self::linden();
        $node = array_values(array_filter($plan->nodes(), static fn (Node $node): bool => $node->name === $name))[0];
        $header = (new CHeader(self::knowledge()))->write($plan, $node);
        preg_match_all('/^static const [^=(]*?(\w+)\[\w*\] = \{/m', $header, $names);
        file_put_contents("{$this->folder}/node.h", $header);
        // Each table is looked at from outside, so that the compiler keeps it.
        $looks = array_map(static fn (string $one): string => "const void *look_at_{$one}(void) { return {$one}; }", $names[1]);
        file_put_contents("{$this->folder}/node.c", "#include \"node.h\"\n".implode("\n", $looks)."\nint nothing;\n");
        $this->execute('avr-gcc', '-mmcu=atmega644', '-std=c99', '-Os', '-w', '-c', '-o', 'node.o', 'node.c');
        preg_match_all('/^\.(?:ro)?data\S*\s+(\d+)/m', $this->execute('avr-size', '-A', 'node.o'), $sizes);
        self::assertSame(array_sum(array_map(intval(...), $sizes[1])), CConstants::bytesIn(explode("\n", $header)));
    }
}
