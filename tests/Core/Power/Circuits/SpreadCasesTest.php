<?php

declare(strict_types=1);

namespace Tests\Core\Power\Circuits;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Look;
use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\LoadKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Power\Circuits\Spread;
use Tests\Core\CoreTestCase;

/** Which circuits are as good as each other, what may go from one to another, and what leaks there. By hand, at 230 V: 460 W are 2 A. A residual-current device bears 15 mA (IEC 61008: half of 30). */
final class SpreadCasesTest extends CoreTestCase
{
    /** @return iterable<string, array{Closure(Sketch): Sketch, array{float, float, int}|null}> circuits and loads; how full the fullest is, could be, and how many loads move */
    public static function cases(): iterable
    {
        $circuits = static fn (array $left = [], array $right = []): Closure => static fn (Sketch $s): Sketch => $s->place('yard', 'Yard')->place('barn', 'Barn')->circuit('main', 'Main')
            ->circuit('left', 'Left', ['fuseA' => 4.0, 'timeLag' => true, ...array_diff_key($left, ['parent' => 0])], $left['parent'] ?? null)->circuit('right', 'Right', ['fuseA' => 4.0, 'timeLag' => true, ...array_diff_key($right, ['parent' => 0])], $right['parent'] ?? null)
            ->node('n', 'N', NodeKind::Controller, null, '8bit-5v-20io')->output('o1', 'n', 'One')->output('o2', 'n', 'Two')->output('o3', 'n', 'Three');
        $loads = static fn (Closure $on, array ...$loads): Closure => static fn (Sketch $s): Sketch => array_reduce(array_keys($loads), static fn (Sketch $s, int|string $at): Sketch => $s->load("l{$at}", "Load {$at}", $loads[$at][0], $loads[$at][1], LoadKind::Resistive, $loads[$at][2], $loads[$at][3] ?? []), $on($s));
        $two = [['o1', 'left', 460.0], ['o2', 'left', 460.0]];

        yield 'two of 2 A behind 4 A' => [$loads($circuits(), ...$two), [1.0, 0.5, 1]];
        yield 'one each already' => [$loads($circuits(), ['o1', 'left', 460.0], ['o2', 'right', 460.0]), null];
        yield 'on one contact they go together, and nowhere better' => [$loads($circuits(), ['o1', 'left', 460.0], ['o1', 'left', 460.0]), null];
        yield 'three of which two go on one contact' => [$loads($circuits(), ['o1', 'left', 230.0], ['o1', 'left', 230.0], ['o2', 'left', 460.0]), [1.0, 0.5, 1]];
        yield 'the other behind a smaller fuse' => [$loads($circuits([], ['fuseA' => 2.0]), ['o1', 'left', 230.0], ['o2', 'left', 230.0], ['o3', 'left', 230.0]), [0.75, 0.5, 1]];
        yield 'so small that it is fuller then' => [$loads($circuits(['fuseA' => 10.0], ['fuseA' => 1.0]), ['o1', 'left', 230.0], ['o2', 'left', 230.0]), null];

        // Not as good as each other.
        yield 'at another voltage' => [$loads($circuits([], ['volts' => 110.0]), ...$two), null];
        yield 'direct current' => [$loads($circuits([], ['direct' => true]), ...$two), null];
        yield 'outdoors' => [$loads($circuits([], ['outdoors' => true]), ...$two), null];
        yield 'both outdoors' => [$loads($circuits(['outdoors' => true], ['outdoors' => true]), ...$two), [1.0, 0.5, 1]];
        yield 'elsewhere' => [static fn (Sketch $s): Sketch => $loads($circuits(['placeId' => $s->id('yard')], ['placeId' => $s->id('barn')]), ...$two)($s), null];
        yield 'in one place' => [static fn (Sketch $s): Sketch => $loads($circuits(['placeId' => $s->id('yard')], ['placeId' => $s->id('yard')]), ...$two)($s), [1.0, 0.5, 1]];
        yield 'off another' => [$loads($circuits(['parent' => 'main']), ...$two), null];
        yield 'off one' => [$loads($circuits(['parent' => 'main'], ['parent' => 'main']), ...$two), [1.0, 0.5, 1]];
        yield 'behind no fuse' => [$loads($circuits([], ['fuseA' => null]), ...$two), null];
        yield 'with a branch of its own' => [static fn (Sketch $s): Sketch => $loads($circuits(), ...$two)($s)->circuit('twig', 'Twig', ['fuseA' => 1.0], 'right'), null];

        // Not to be moved.
        yield 'one is kept' => [$loads($circuits(), ['o1', 'left', 460.0, ['pinned' => true]], ['o2', 'left', 460.0]), [1.0, 0.5, 1]];
        yield 'both are' => [$loads($circuits(), ['o1', 'left', 460.0, ['pinned' => true]], ['o2', 'left', 460.0, ['pinned' => true]]), null];
        yield 'always on' => [$loads($circuits(), [null, 'left', 460.0, ['use' => 'always-on']], [null, 'left', 460.0, ['use' => 'always-on']]), null];
        yield 'nobody read its plate' => [$loads($circuits(), ['o1', 'left', 460.0], ['o2', 'left', null]), null];
        yield 'a contact over two circuits stays on both' => [$loads($circuits(), ['o1', 'left', 460.0], ['o1', 'right', 46.0], ['o2', 'left', 460.0]), [1.0, 0.55, 1]];
        yield 'so little that it is not worth it' => [$loads($circuits(), ['o1', 'left', 460.0], ['o2', 'right', 459.7]), null];

        // What leaks where it goes.
        $leaks = static fn (float $mA, int $count = 1): array => ['leakageMa' => $mA, 'count' => $count];
        yield 'to a device that sees 15 mA then' => [$loads($circuits([], ['residual' => true]), ['o1', 'left', 460.0, $leaks(5.0)], ['o2', 'left', 460.0, $leaks(5.0)], [null, 'right', 2.3, ['use' => 'always-on', ...$leaks(10.0)]]), [1.0, 0.503, 1]];
        yield 'or a hair more' => [$loads($circuits([], ['residual' => true]), ['o1', 'left', 460.0, $leaks(5.1)], ['o2', 'left', 460.0, $leaks(5.1)], [null, 'right', 2.3, ['use' => 'always-on', ...$leaks(10.0)]]), null];
        yield 'of several each leaks' => [$loads($circuits([], ['residual' => true]), ['o1', 'left', 230.0, $leaks(4.0, 2)], ['o2', 'left', 230.0, $leaks(4.0, 2)], [null, 'right', 2.3, ['use' => 'always-on', ...$leaks(10.0)]]), null];
        yield 'where no device sees it' => [$loads($circuits(), ['o1', 'left', 460.0, $leaks(20.0)], ['o2', 'left', 460.0, $leaks(20.0)]), [1.0, 0.5, 1]];
        yield 'away from a device that sees too much' => [$loads($circuits(['residual' => true]), ['o1', 'left', 460.0, $leaks(9.0)], ['o2', 'left', 460.0, $leaks(9.0)]), [1.0, 0.5, 1]];
        yield 'what does not leak may go where too much does' => [$loads($circuits([], ['residual' => true]), ['o1', 'left', 460.0], ['o2', 'left', 460.0], [null, 'right', 2.3, ['use' => 'always-on', ...$leaks(20.0)]]), [1.0, 0.503, 1]];
    }

    /**
     * @param  Closure(Sketch): Sketch  $plan
     * @param  array{float, float, int}|null  $expected
     */
    #[DataProvider('cases')]
    public function test_what_could_lie_better(Closure $plan, ?array $expected): void
    {
        $spreads = Spread::in(new Look($plan(self::sketch())->plan(), self::knowledge()));
        self::assertSame($expected === null ? [] : [$expected], array_map(static fn (Spread $one): array => [round($one->now, 3), round($one->best, 3), count($one->moves)], $spreads));
        foreach ($spreads as $spread) {
            self::assertSame($spread->now > 0.8, $spread->isOverloaded());
            self::assertCount(count($spread->moves), $spread->operations());
        }
    }
}
