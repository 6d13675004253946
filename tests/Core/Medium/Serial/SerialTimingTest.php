<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Demo\Sketch;
use Rundfunk\Medium\Serial\Line\LineEnd;
use Rundfunk\Medium\Serial\Line\LineMessage;
use Rundfunk\Medium\Serial\Line\Programs;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Routes\Paths;
use Rundfunk\Timing\ReactionTimer;
use Tests\Core\CoreTestCase;

/** What is said of a line's times, against its programs on a cable on which bytes take as long as they take. */
final class SerialTimingTest extends CoreTestCase
{
    /** @return iterable<string, array{array<string, bool|float|int|string|null>, int, int, int}> settings, ends, who tells, whom */
    public static function lines(): iterable
    {
        foreach ([9_600, 19_200] as $baud) {
            foreach (['asker to box' => [0, 2], 'box to asker' => [2, 0], 'box to box' => [1, 3]] as $who => [$from, $to]) {
                yield "{$who} at {$baud}" => [['topology' => 'polled', 'levels' => 'rs-485', 'baud' => $baud], 4, $from, $to];
            }
            yield "a pair at {$baud}" => [['topology' => 'pair', 'baud' => $baud], 2, 0, 1];
            foreach (['next' => 1, 'last' => 3] as $who => $to) {
                yield "a ring, to the {$who}, at {$baud}" => [['topology' => 'ring', 'levels' => 'rs-232', 'baud' => $baud], 4, 0, $to];
            }
        }
    }

    /** @param  array<string, bool|float|int|string|null>  $settings */
    #[DataProvider('lines')]
    public function test_nothing_takes_longer_than_the_worst_or_less_than_the_best(array $settings, int $count, int $from, int $to): void
    {
        $sketch = self::sketch()->link('l', 'Line', 'serial', ['lengthM' => 1.0, 'turnMs' => 2, 'gapMs' => 5, ...$settings]);
        for ($number = 1; $number <= $count; $number++) {
            $sketch->node("n{$number}", "Node {$number}", NodeKind::Controller, null, '8bit-5v-70io')->module("w{$number}", "n{$number}", ($settings['levels'] ?? '') === 'rs-485' ? 'rs485-5v' : (($settings['levels'] ?? '') === 'rs-232' ? 'rs232-converter' : 'serial-wire'), 'Port')
                ->join('l', "n{$number}", Role::Both, "w{$number}", ['station' => $number, 'asks' => $number === 1]);
        }
        $plan = self::routed($sketch, $from + 1, $to + 1);
        $hops = (new Paths($plan))->hops($plan->routes()[0]);
        self::assertNotNull($hops);
        $time = (new ReactionTimer($plan, self::knowledge()))->over($hops);
        [$least, $most, $mean] = self::measured($plan, $from, $to);
        // The programs here look every millisecond, where the figure allows them ten to read it.
        self::assertLessThanOrEqual($time->worstNs() / 1e6, $most);
        self::assertGreaterThanOrEqual($time->bestNs() / 1e6 - 1, $least);
        self::assertEqualsWithDelta($time->typicalNs() / 1e6, $mean, 0.35 * $time->typicalNs() / 1e6 + 3);
    }

    private static function routed(Sketch $sketch, int $from, int $to): Plan
    {
        return $sketch->module('k', "n{$from}", 'button-pad-1', 'Key')->control('key', "n{$from}", 'Key')->output('out', "n{$to}", 'Out')->route('key', Action::On, 'out')->assigned();
    }

    /** @return array{float, float, float} milliseconds from telling to hearing: least, most, mean */
    private static function measured(Plan $plan, int $from, int $to): array
    {
        $link = $plan->links()[0];
        $ends = array_values(array_filter(array_map(static fn (Endpoint $end): ?LineEnd => Programs::of($plan, $end, self::knowledge()->media), $plan->endpointsOn($link))));
        $settings = SerialSettings::of($link);
        $byteMs = $settings->line()->ms(1);
        $isRing = $settings->topology->value !== 'polled';
        /** @var list<array{float, int, int}> $air when each byte is there, to whom, which */
        $air = [];
        /** @var list<float> $took */
        $took = [];
        $toldMs = null;
        mt_srand(4);
        $next = 400;
        for ($now = 0; $now < 60_000; $now++) {
            if (count($took) === 60) {
                break;
            }
            foreach ($air as $at => [$there, $who, $byte]) {
                if ($there <= $now) {
                    unset($air[$at]);
                    if ($ends[$who]->byte($byte, $now)?->code === 7 && $who === $to && $toldMs !== null) {
                        $took[] = (float) ($now - $toldMs);
                        $toldMs = null;
                        $next = $now + mt_rand(40, 160);
                    }
                }
            }
            if ($toldMs === null && $now >= $next) {
                self::assertTrue($ends[$from]->tell(new LineMessage($to + 1, 7, count($took)), $now));
                $toldMs = $now;
            }
            foreach ($ends as $who => $end) {
                $bytes = $end->step($now);
                foreach ($bytes === '' ? [] : str_split($bytes) as $at => $byte) {
                    foreach (array_keys($ends) as $other) {
                        if ($isRing ? $other === ($who + 1) % count($ends) : $other !== $who) {
                            $air[] = [$now + ($at + 1) * $byteMs, $other, ord($byte)];
                        }
                    }
                }
            }
        }
        self::assertCount(60, $took);

        return [min($took), max($took), array_sum($took) / 60];
    }
}
