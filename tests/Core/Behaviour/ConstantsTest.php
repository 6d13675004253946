<?php

declare(strict_types=1);

namespace Tests\Core\Behaviour;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Behaviour\HoldsConstants;
use Rundfunk\Build\CHeader;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Tests\Core\CoreTestCase;
use Tests\Core\RunsPrograms;

/** What tables that never change take of an 8-bit board's memory, against the compiler's own count (avr-gcc 5.4, avr-size). */
final class ConstantsTest extends CoreTestCase
{
    use RunsPrograms;

    /** @return iterable<string, array{Plan, string}> */
    public static function nodes(): iterable
    {
        yield 'key codes that are sent and heard' => [self::linden(), 'Greenhouse'];
        yield 'a modem\'s dialogue and whom it obeys' => [self::linden(), 'Gate post'];
        yield 'a toy\'s codes' => [self::linden(), 'Pocket A'];
        yield 'codes by value' => [self::linden(), 'Stick box'];
        yield 'what only timings tell' => [self::faulty(), 'Old remote'];
        yield 'one protocol for many keys' => [self::faulty(), 'Den sender'];
        yield 'a modem that is told little' => [self::faulty(), 'Far modem'];
        yield 'a modem whose report is no address' => [self::faulty(), 'Lane gate'];
    }

    #[DataProvider('nodes')]
    public function test_the_compiler_puts_as_many_bytes_into_memory(Plan $plan, string $name): void
    {
        $node = array_values(array_filter($plan->nodes(), static fn (Node $node): bool => $node->name === $name))[0];
        $header = (new CHeader(self::knowledge()))->write($plan, $node);
        preg_match_all('/^static const [^=(]*?(\w+)\[\w*\] = \{/m', $header, $names);
        file_put_contents("{$this->folder}/node.h", $header);
        // Each table is looked at from outside, so that the compiler keeps it.
        $looks = array_map(static fn (string $one): string => "const void *look_at_{$one}(void) { return {$one}; }", $names[1]);
        file_put_contents("{$this->folder}/node.c", "#include \"node.h\"\n".implode("\n", $looks)."\nint nothing;\n");
        $this->execute('avr-gcc', '-mmcu=atmega644', '-std=c99', '-Os', '-w', '-c', '-o', 'node.o', 'node.c');
        preg_match_all('/^\.(?:ro)?data\S*\s+(\d+)/m', $this->execute('avr-size', '-A', 'node.o'), $sizes);
        self::assertSame(array_sum(array_map(intval(...), $sizes[1])), self::said($plan, $node));
    }

    /** @return int bytes that its ends say they take */
    private static function said(Plan $plan, Node $node): int
    {
        $knowledge = self::knowledge();

        return array_sum(array_map(
            static fn (Endpoint $end): int => $knowledge->media->offering(HoldsConstants::class, $plan->link($end->linkId)->medium)?->constantBytes($plan, $end, $knowledge) ?? 0,
            $plan->endpointsOf($node),
        ));
    }
}
