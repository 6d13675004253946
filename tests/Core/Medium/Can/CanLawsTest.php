<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Can;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Check\Finding;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;
use Tests\Core\Medium\Serial\HoldsLaws;

/** What holds for buses of every kind, drawn from nothing: foreign and of one's own, any boards, any messages. */
final class CanLawsTest extends CoreTestCase
{
    use HoldsLaws;

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        [$first, $last] = array_map(intval(...), explode('-', (string) (getenv('SEEDS') ?: '1-40')));
        for ($seed = $first; $seed <= $last; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    private static function drawn(int $seed): Plan
    {
        mt_srand($seed);
        $one = static fn (array $of): mixed => $of[mt_rand(0, count($of) - 1)];
        $sketch = self::sketch()->link('l', 'Bus', 'can', ['bitrate' => $one([50_000, 125_000, 250_000, 500_000, 1_000_000, 83_333]), 'foreign' => mt_rand(0, 3) === 0, 'lengthM' => $one([null, 3.0, 80.0, 700.0])]);
        $boards = mt_rand(1, 4);
        for ($number = 1; $number <= $boards; $number++) {
            $board = $one(['8bit-5v-20io', '8bit-5v-70io', '32bit-3v3-26io', 'wifi-3v3-26io', 'computer-40pin']);
            $part = $board === 'wifi-3v3-26io' ? $one(['can-transceiver-3v3', 'can-spi-3v3', 'can-transceiver-5v']) : $one(['can-spi-5v', 'can-spi-3v3']);
            $sketch->node("n{$number}", "Node {$number}", $one([NodeKind::Controller, NodeKind::Gateway]), null, $board)->module("w{$number}", "n{$number}", $part, 'Bus')
                ->module("k{$number}", "n{$number}", 'button-pad-1', 'Key')->control("key{$number}", "n{$number}", "Key {$number}")
                ->module("r{$number}", "n{$number}", 'relay-bank-1-low', 'Relay', FedFrom::Own)->output("out{$number}", "n{$number}", "Out {$number}", more: ['hazards' => mt_rand(0, 4) === 0 ? ['heat'] : []])
                ->join('l', "n{$number}", $one([Role::Both, Role::Both, Role::Both, Role::Sends, Role::Receives]), mt_rand(0, 3) === 0 ? "w{$number}" : null, array_filter([
                    'identifier' => $one([null, null, 0x100, 0x101, 0x7FF]), 'listenOnly' => mt_rand(0, 3) === 0, 'terminated' => mt_rand(0, 1) === 0, 'terminatorOhm' => $one([120, 120, 100, 60]),
                    'stubM' => $one([0.0, 0.2, 4.0]), 'clockMHz' => $one([8.0, 16.0, 40.0, 7.0]),
                ], static fn (mixed $value): bool => $value !== null));
        }
        foreach (range(1, mt_rand(1, 2)) as $number) {
            $device = "d{$number}";
            $sketch->node($device, "Device {$number}", NodeKind::Fixture, null, null)->join('l', $device, Role::Both, null, ['terminated' => mt_rand(0, 1) === 0])
                ->output("{$device}does", $device, 'Speed', OutputKind::Function, null, $one([null, 'Speed', 'Else']));
            foreach (range(1, mt_rand(1, 3)) as $message) {
                $signals = [];
                foreach (range(1, mt_rand(1, 3)) as $signal) {
                    $signals[] = ['name' => $one(["S{$number}{$message}{$signal}", 'Same']), 'start' => mt_rand(0, 63), 'bits' => $one([1, 1, 4, 12, 40]), 'highFirst' => mt_rand(0, 1) === 0, 'signed' => mt_rand(0, 2) === 0, 'scale' => $one([1.0, 0.1, -2.0]), 'equals' => $one([null, null, null, 1])];
                }
                $sketch->busMessage("m{$number}{$message}", 'l', $device, "Message {$message}", $one([0x100, 0x200 + $message, 0x600 + $number, 0x900]), ['bytes' => $one([1, 4, 8]), 'periodMs' => $one([0, 2, 20, 1_000])], $signals);
            }
            foreach (range(1, 2) as $reading) {
                $sketch->control("{$device}r{$reading}", $device, $one(['Same', "Reading {$reading}"]), $one([ControlKind::Reading, ControlKind::Reading, ControlKind::Key]), null, $one([null, 'Same', "S{$number}11", 'Nothing']), ['threshold' => $one([0.5, 5.0, 500.0])]);
                $sketch->route("{$device}r{$reading}", Action::Follow, 'out'.mt_rand(1, $boards));
            }
            $sketch->busMessage("own{$number}", 'l', 'n1', "Told {$number}", 0x300 + $number, ['bytes' => 8, 'periodMs' => 100], [['name' => 'Speed', 'start' => 0, 'bits' => $one([3, 8])]])
                ->route('key1', Action::Set, "{$device}does", value: $one([1, 100]));
        }
        foreach (range(1, $boards) as $number) {
            $to = mt_rand(1, $boards);
            $sketch->route("key{$number}", $one([Action::Toggle, Action::On, Action::Momentary]), "out{$to}");
        }

        return $sketch->plan();
    }

    #[DataProvider('seeds')]
    public function test_assign_makes_no_fault_and_is_done_when_it_is_done(int $seed): void
    {
        $plan = self::drawn($seed);
        $before = self::grave($plan);
        $assigned = self::assigner()->assign($plan)->plan;
        foreach (self::grave($assigned) as $id => $finding) {
            self::assertFalse(str_starts_with($finding->rule(), 'can-') && ! isset($before[$id]) && ! self::isFeltOnlyNow($finding), "{$finding->rule()}: {$finding->title}");
        }
        self::assertSame([], self::assigner()->assign($assigned)->proposals);
    }

    /** What is only now sent over a bus is only now sent wrongly; a part that only now is named has a clock. */
    private static function isFeltOnlyNow(Finding $finding): bool
    {
        return in_array($finding->rule(), ['can-foreign-told', 'can-listener-tells', 'can-function-unknown', 'can-value-beyond', 'can-rate-unreachable', 'can-threshold-beyond', 'can-signal-too-long', 'can-message-late', 'can-load-high'], true);
    }

    #[DataProvider('seeds')]
    public function test_every_fix_mends_and_brings_nothing_as_grave(int $seed): void
    {
        $plan = self::drawn($seed);
        self::assertFixesMend($plan, 'can-');
        self::assertFixesMend(self::assigner()->assign($plan)->plan, 'can-');
    }
}
