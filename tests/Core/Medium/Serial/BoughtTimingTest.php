<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Medium\Serial\Bought\Commanding;
use Rundfunk\Medium\Serial\Bought\Exchange;
use Rundfunk\Medium\Serial\Bought\StandIn;
use Rundfunk\Medium\Serial\Bought\Tables;
use Rundfunk\Medium\Serial\Line\LineMessage;
use Rundfunk\Medium\Serial\SerialHops;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Rehearsal\Event;
use Rundfunk\Timing\ReactionTimer;
use Rundfunk\Timing\Span;
use Rundfunk\Timing\SpanKind;
use Rundfunk\Timing\Timeline;
use Tests\Core\CoreTestCase;

/** What is said of the time to and from bought devices, against a cable on which every byte takes its time. */
final class BoughtTimingTest extends CoreTestCase
{
    /** The programs look at their line every so often. */
    private const LOOP_NS = 250_000;

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function protocols(): iterable
    {
        foreach (Devices::protocols() as $name => $protocol) {
            yield $name => [$protocol];
        }
    }

    /** @param  array<string, mixed>  $protocol */
    #[DataProvider('protocols')]
    public function test_a_command_is_there_between_the_best_and_the_worst(array $protocol): void
    {
        $plan = Devices::line(self::sketch(), $protocol)->plan();
        $route = array_values(array_filter($plan->routes(), static fn (Route $one): bool => $plan->output($one->outputId)->name === 'Lamp' && $one->action === Action::On))[0];
        $timeline = new Timeline((new SerialHops)->spans($plan, $plan->hopsOf($route)[0], 0));
        $took = [];
        for ($seed = 1; $seed <= 60; $seed++) {
            $took[] = $this->commandNs($plan, $seed);
        }
        // A program looks at its line no more often than it comes round, and the last byte is not on it before it is out.
        self::assertGreaterThanOrEqual($timeline->bestNs() - 2 * self::LOOP_NS, min($took));
        self::assertLessThanOrEqual($timeline->worstNs() + 3 * self::LOOP_NS + 1_000_000, max($took));
        self::assertLessThan(max($took), min($took), 'It hangs on what runs just then.');
    }

    /** How long from telling the first device until it does it, on a line that is busy with readings. */
    private function commandNs(Plan $plan, int $seed): int
    {
        $line = SerialLine::of($plan, $plan->links()[0]);
        $tables = Tables::of($plan, $line, new MessageNumbers($plan, self::knowledge()->media));
        self::assertNotNull($tables);
        $board = new Commanding($tables, $line);
        $chance = new Randomizer(new Mt19937($seed));
        $devices = [new StandIn($tables->protocol, 3, new Randomizer(new Mt19937($seed)), $line->settings->turnMs), new StandIn($tables->protocol, 4, new Randomizer(new Mt19937($seed)), $line->settings->turnMs)];
        $order = array_values(array_filter($tables->orders, static fn ($one): bool => $one->device === 0 && $one->figure === 1 && $tables->items[$one->item]->item->name === 'Lamp'))[0];
        $toldNs = 200_000_000 + $chance->getInt(0, 50_000_000);
        $told = false;
        /** @var list<array{int, int, string}> $onLine when, to whom (0 the board, 1 and 2 the devices), one byte */
        $onLine = [];
        for ($atNs = 0; $atNs < $toldNs + 1_000_000_000; $atNs += self::LOOP_NS) {
            [$due, $onLine] = [array_filter($onLine, static fn (array $one): bool => $one[0] <= $atNs), array_values(array_filter($onLine, static fn (array $one): bool => $one[0] > $atNs))];
            foreach ($due as [$when, $to, $byte]) {
                if ($to === 0) {
                    $board->byte(ord($byte), intdiv($atNs, 1_000_000));

                    continue;
                }
                foreach ($devices[$to - 1]->react($when, Event::bytes($byte)) as $scheduled) {
                    $onLine = [...$onLine, ...self::bytes($line, $scheduled->atNs, 0, $scheduled->event->bytes)];
                }
                if ($told && isset($devices[0]->told['Lamp'])) {
                    return $when - $toldNs;
                }
            }
            if (! $told && $atNs >= $toldNs) {
                $told = true;
                $toldNs = $atNs;
                $board->tell(new LineMessage($tables->devices[0]->number, $order->code, 1), intdiv($atNs, 1_000_000));
            }
            $said = $board->step(intdiv($atNs, 1_000_000));
            foreach ([1, 2] as $device) {
                $onLine = [...$onLine, ...self::bytes($line, $atNs, $device, $said)];
            }
        }
        self::fail('It never came.');
    }

    /** @return list<array{int, int, string}> each byte when its last bit is over */
    private static function bytes(SerialLine $line, int $fromNs, int $to, string $bytes): array
    {
        $coming = [];
        foreach ($bytes === '' ? [] : str_split($bytes) as $at => $byte) {
            $coming[] = [$fromNs + $line->settings->line()->ns($at + 1), $to, $byte];
        }

        return $coming;
    }

    public function test_a_round_of_questions_is_the_sum_of_its_bytes(): void
    {
        $plan = Devices::line(self::sketch(), array_values(Devices::protocols())[0])->plan();
        $line = SerialLine::of($plan, $plan->links()[0]);
        $round = Exchange::round($plan, $line);
        self::assertSame(['Warmth', 'Moving', 'Warmth', 'Moving'], array_map(static fn (Exchange $one): string => $one->item->name, $round), 'What is asked to know that a function is done is of the round too.');
        // 6 bytes ask (start, id, function, length, two of check), 8 or 7 answer; ten bits each at 38,400 baud; 2 ms to turn, 2 to rest.
        foreach ($round as $one) {
            $answer = $one->item->name === 'Warmth' ? 80 : 70;
            self::assertSame(intdiv(60 * 1_000_000_000, 38_400) + intdiv($answer * 1_000_000_000, 38_400) + 4_000_000, $one->lastsNs($line));
        }
    }

    public function test_around_a_ring_each_on_the_way_hands_it_on(): void
    {
        $plan = Devices::line(self::sketch(), array_values(Devices::protocols())[0], settings: ['topology' => 'ring', 'turnMs' => 3])->plan();
        $frameNs = static fn (string $device): array => array_map(
            static fn (Span $span): array => [$span->label, $span->bestNs, $span->worstNs],
            array_values(array_filter((new SerialHops)->spans($plan, $plan->hopsOf(self::lampOf($plan, $device))[0], 0), static fn (Span $span): bool => $span->kind !== SpanKind::Waiting && $span->kind !== SpanKind::Retries)),
        );
        // 7 bytes: start, id, function, length, one of value, two of check.
        $onceNs = intdiv(70 * 1_000_000_000, 38_400);
        self::assertSame([['frame', $onceNs, $onceNs]], $frameNs('Drive 1'));
        self::assertSame([['frame, 2 times', 2 * $onceNs, 2 * $onceNs], ['handed on by 1', 0, 3_000_000]], $frameNs('Drive 2'));
    }

    public function test_a_reading_that_is_fetched_waits_once(): void
    {
        $timer = static fn (Plan $plan): array => array_map(
            static fn (Span $span): string => $span->label,
            (new ReactionTimer($plan, self::knowledge()))->of(array_values(array_filter($plan->routes(), static fn (Route $one): bool => $plan->control($one->controlId)->name === 'Warmth'))[0])->spans ?? [],
        );
        $sketch = Devices::line(self::sketch(), array_values(Devices::protocols())[0]);
        self::assertContains('until it is asked', $timer($sketch->plan()));
        self::assertNotContains('until it is read', $timer($sketch->plan()), 'The board compares what is answered when it is.');
    }

    private static function lampOf(Plan $plan, string $device): Route
    {
        foreach ($plan->routes() as $route) {
            $output = $plan->output($route->outputId);
            if ($output->name === 'Lamp' && $route->action === Action::On && $plan->node($output->nodeId)->name === $device) {
                return $route;
            }
        }
        self::fail("Nothing puts the lamp of {$device} on.");
    }
}
