<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Behaviour\Gauge;
use Rundfunk\Behaviour\Inputs;
use Rundfunk\Behaviour\Machine;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Behaviour\Tabulation;
use Rundfunk\Build\BehaviourFiles;
use Rundfunk\Build\PartLine;
use Rundfunk\Build\PartsList;
use Rundfunk\Medium\Serial\Bought\Commanding;
use Rundfunk\Medium\Serial\Bought\StandIn;
use Rundfunk\Medium\Serial\Bought\Tables;
use Rundfunk\Medium\Serial\Line\LineMessage;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Rehearsal\Event;
use Rundfunk\Timing\ReactionTimer;
use Tests\Core\CoreTestCase;

/** A board of ours and devices that were bought, joined by a line: what is told is done, what is read is acted on. */
final class BoughtLineTest extends CoreTestCase
{
    private Plan $plan;

    private Tables $tables;

    private Commanding $board;

    /** @var list<StandIn> */
    private array $devices = [];

    private int $nowMs = 0;

    /** @var list<array{int, string}> */
    private array $coming = [];

    /** @var list<LineMessage> */
    private array $heard = [];

    /** @param  array<string, mixed>  $protocol */
    private function line(array $protocol): void
    {
        $this->plan = Devices::line(self::sketch(), $protocol)->plan();
        $line = SerialLine::of($this->plan, $this->plan->links()[0]);
        $tables = Tables::of($this->plan, $line, new MessageNumbers($this->plan, self::knowledge()->media));
        self::assertNotNull($tables);
        $this->tables = $tables;
        $this->board = new Commanding($tables, $line);
        $this->devices = array_map(static fn (int $id): StandIn => new StandIn($tables->protocol, $id, new Randomizer(new Mt19937($id))), [3, 4]);
    }

    private function pass(int $ms): void
    {
        for ($until = $this->nowMs + $ms; $this->nowMs < $until; $this->nowMs++) {
            foreach ($this->coming as $at => [$when, $bytes]) {
                if ($when <= $this->nowMs) {
                    unset($this->coming[$at]);
                    foreach (str_split($bytes) as $byte) {
                        $message = $this->board->byte(ord($byte), $this->nowMs);
                        $this->heard = $message === null ? $this->heard : [...$this->heard, $message];
                    }
                }
            }
            $bytes = $this->board->step($this->nowMs);
            foreach ($this->devices as $device) {
                foreach ($device->react(1_000_000 * $this->nowMs, Event::bytes($bytes)) as $scheduled) {
                    $this->coming[] = [(int) ceil($scheduled->atNs / 1e6), $scheduled->event->bytes];
                }
            }
        }
    }

    private function tell(int $device, string $item, int $value): bool
    {
        foreach ($this->tables->orders as $order) {
            if ($order->device === $device && $this->tables->items[$order->item]->item->name === $item && ($order->figure === null || $order->figure === $value || $item !== 'Lamp')) {
                return $this->board->tell(new LineMessage($this->tables->devices[$device]->number, $order->code, $value), $this->nowMs);
            }
        }
        self::fail("Nobody tells {$item}.");
    }

    private function value(int $device, string $item): int
    {
        foreach ($this->tables->slots as $index => $slot) {
            if ($slot->device === $device && $this->tables->items[$slot->item]->item->name === $item) {
                return $this->board->value($index);
            }
        }
        self::fail("Nobody reads {$item}.");
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function protocols(): iterable
    {
        foreach (Devices::protocols() as $name => $protocol) {
            yield $name => [$protocol];
        }
    }

    /** @param  array<string, mixed>  $protocol */
    #[DataProvider('protocols')]
    public function test_what_is_told_is_done_once_and_by_whom_it_was_meant(array $protocol): void
    {
        $this->line($protocol);
        $this->pass(50);
        self::assertTrue($this->tell(0, 'Lamp', 1));
        self::assertTrue($this->tell(1, 'Go', 300));
        $this->pass(200);
        self::assertSame(1, $this->devices[0]->told['Lamp']);
        self::assertSame(isset($protocol['coding']) && $protocol['coding'] === 'seven' ? 300 : 3_000, $this->devices[1]->told['Go']);
        self::assertCount(1, $this->devices[0]->done);
        self::assertCount(1, $this->devices[1]->done);
    }

    public function test_a_reading_is_known_once_it_was_asked_for_and_unknown_when_nobody_answers(): void
    {
        $this->line(array_values(Devices::protocols())[0]);
        self::assertSame(Gauge::FAILED, $this->value(0, 'Warmth'));
        $this->devices[0]->reads['Warmth'] = 16 * 21 + 8;
        $this->pass(300);
        self::assertSame(21_500, $this->value(0, 'Warmth'));
        $this->devices[0]->die();
        $this->pass(1_000);
        self::assertSame(Gauge::FAILED, $this->value(0, 'Warmth'));
        self::assertSame($this->tables->devices[0]->number, $this->board->gone());
        self::assertNull($this->board->gone(), 'It is said once.');
        self::assertSame(0, $this->value(1, 'Warmth'));
    }

    public function test_what_takes_time_is_done_when_the_reading_says_so_and_the_same_is_not_told_again_before(): void
    {
        $this->line(array_values(Devices::protocols())[0]);
        $this->pass(50);
        $this->tell(0, 'Go', 100);
        $this->pass(120);
        self::assertSame(0, $this->value(0, 'Go'), 'It is under way.');
        self::assertTrue($this->tell(0, 'Go', 100));
        $this->pass(60);
        self::assertCount(1, $this->devices[0]->done);
        $this->pass(200);
        self::assertSame(1_000, $this->value(0, 'Go'), 'Half of 400 ms later it stood, and the reading said so.');
        $this->tell(0, 'Go', 100);
        $this->pass(100);
        self::assertCount(2, $this->devices[0]->done, 'Now it may be told again.');
    }

    public function test_another_command_is_told_at_once_for_it_may_be_to_stop(): void
    {
        $this->line(array_values(Devices::protocols())[0]);
        $this->pass(50);
        $this->tell(0, 'Go', 100);
        $this->pass(60);
        $this->tell(0, 'Go', 0);
        $this->pass(60);
        self::assertSame([1_000, 0], array_column($this->devices[0]->done, 2));
    }

    public function test_what_is_dead_is_not_told_a_minute_later(): void
    {
        $this->line(array_values(Devices::protocols())[0]);
        $this->pass(50);
        $this->devices[0]->die();
        $this->tell(0, 'Rest', 0);
        $this->tell(0, 'Go', 5);
        $this->pass(600);
        self::assertSame(2, $this->board->gone());
        $this->tell(1, 'Lamp', 1);
        $this->pass(100);
        self::assertSame(1, $this->devices[1]->told['Lamp'] ?? null, 'The other goes on.');
    }

    public function test_what_it_says_unasked_becomes_a_message(): void
    {
        $this->line(array_values(Devices::protocols())[0]);
        $this->pass(50);
        $this->coming[] = [$this->nowMs, $this->devices[1]->says('Card', 4_711)];
        $this->pass(5);
        self::assertCount(1, $this->heard);
        self::assertSame([3, 4_711], [$this->heard[0]->id, $this->heard[0]->argument]);
    }

    public function test_a_reading_beyond_its_threshold_works_an_output_of_the_board(): void
    {
        $this->line(array_values(Devices::protocols())[0]);
        $node = $this->plan->nodes()[0];
        $tables = Tabulation::of($this->plan, $node, self::knowledge());
        self::assertSame(['Warmth', 'Done', 'Warmth', 'Done'], array_map(static fn (Gauge $gauge): string => $gauge->name, $tables->gauges));
        self::assertSame([], $tables->leftOut);
        $machine = new Machine($tables);
        $state = $machine->start(0);
        $warm = array_search('Warm', array_map(static fn ($one): string => $one->name, $tables->outputs), true);
        foreach ([[20_000, 0], [31_000, 1], [29_500, 1], [28_000, 0], [Gauge::FAILED, 0]] as $at => [$reads, $on]) {
            $outcome = $machine->step($state, 100 * ($at + 1), -1, new Inputs(array_fill(0, count($tables->contacts), 0), [$reads, 0, 0, 0], array_fill(0, count($tables->sticks), 512)), []);
            $state = $outcome->state;
            self::assertSame($on, $outcome->outputs[$warm], "At {$reads}.");
        }
    }

    public function test_its_header_says_where_its_readings_come_from_and_what_each_code_is_on_the_line(): void
    {
        $this->line(array_values(Devices::protocols())[5]);
        $header = BehaviourFiles::of($this->plan, $this->plan->nodes()[0], self::knowledge())[0]->content;
        self::assertStringContainsString('in.warmth = line_value(&line, 0), of its struct line_line;', $header);
        self::assertStringContainsString('Lamp: #3:LAMP ON<CR><LF>', $header);
    }

    public function test_the_time_to_a_bought_device_is_that_of_its_own_bytes(): void
    {
        $this->line(array_values(Devices::protocols())[0]);
        $route = array_values(array_filter($this->plan->routes(), fn ($one): bool => $this->plan->output($one->outputId)->name === 'Lamp'))[0];
        $time = (new ReactionTimer($this->plan, self::knowledge()))->of($route);
        self::assertNotNull($time);
        $airtime = array_values(array_filter($time->spans, static fn ($one): bool => $one->label === 'frame'))[0];
        // Start, id, function, length, value, two of check: seven bytes of ten bits at 38,400 baud.
        self::assertSame(intdiv(70 * 1_000_000_000, 38_400), $airtime->worstNs);
    }

    public function test_what_belongs_at_the_terminals_of_a_bought_device_is_on_the_list_of_parts(): void
    {
        $sketch = self::sketch();
        $plan = $sketch->protocol('p', 'Drive', array_values(Devices::protocols())[0])->link('l', 'Pair', 'serial', ['topology' => 'polled', 'levels' => 'rs-485', 'lengthM' => 40.0])
            ->node('n', 'Board', NodeKind::Controller, null, '8bit-5v-70io')->module('w', 'n', 'rs485-5v', 'Pair')->join('l', 'n', Role::Both, 'w', ['asks' => true, 'terminated' => true])
            ->node('d', 'Drive', NodeKind::Fixture, null, null, ['protocolId' => $sketch->id('p')])->join('l', 'd', Role::Both, null, ['station' => 3, 'terminated' => true])->plan();
        $resistor = static fn (PartLine $line): bool => $line->what === 'resistor 120 Ω';
        self::assertSame([['Board: Pair', 'Drive']], array_column(array_values(array_filter(PartsList::of($plan, self::knowledge())->lines, $resistor)), 'where'));
        self::assertSame(['resistor 120 Ω'], array_column(PartsList::of($plan, self::knowledge(), $plan->nodes()[1])->lines, 'what'));
    }
}
