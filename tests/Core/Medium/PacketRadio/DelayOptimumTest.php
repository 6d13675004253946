<?php

declare(strict_types=1);

namespace Tests\Core\Medium\PacketRadio;

use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Shape\Values;
use Tests\Core\CoreTestCase;
use Tests\Core\Optimum;

/** Retry delays of crowded links against a proven optimum. */
final class DelayOptimumTest extends CoreTestCase
{
    /** Sixteen steps of 250 µs; the acknowledge must fit; two senders are apart when one of four retries clears the other's whole exchange. Data sheet of the class and common practice, from memory. */
    private const MODEL = <<<'MZN'
        int: n;
        int: least;
        int: exchange_ns;
        array[1..n] of int: now;
        array[1..n] of bool: fixed;
        array[1..n] of var 1..16: step;
        constraint forall(i in 1..n)(if fixed[i] then 250 * step[i] = now[i] else 250 * step[i] >= least endif);
        constraint forall(i, j in 1..n where i < j)(exists(k in 1..4)(k * abs(step[i] - step[j]) * 250000 >= exchange_ns));
        var int: changes = sum(i in 1..n)(bool2int(now[i] >= 0 /\ 250 * step[i] != now[i]));
        solve minimize changes;
        output ["\(changes)"];
        MZN;

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 10; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_no_arrangement_that_keeps_all_apart_changes_fewer(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $settings = ['rateKbps' => 2000, 'payloadBytes' => $random->getInt(4, 32)];
        $sketch = self::sketch()->link('l', 'L', 'packet-radio', $settings)->node('hub', 'Hub', NodeKind::Controller, null, null)->join('l', 'hub', Role::Receives);
        for ($sender = 1, $count = $random->getInt(2, 5); $sender <= $count; $sender++) {
            $delay = $random->getInt(0, 2) > 0 ? 250 * $random->getInt(1, 16) : null;
            $sketch->node("n{$sender}", "N{$sender}", NodeKind::Handset, null, null)->join('l', "n{$sender}", Role::Sends, null, $delay === null ? [] : ['retryDelayUs' => $delay]);
        }
        $plan = $sketch->plan();
        $assigned = self::assigner()->assign($plan)->plan;
        $changes = 0;
        foreach ($plan->of(Endpoint::class) as $endpoint) {
            $before = self::delay($plan, $endpoint);
            $changes += $before >= 0 && self::delay($assigned, $endpoint) !== $before ? 1 : 0;
        }
        self::assertSame([], self::found($assigned, 'packet-retry-delays-equal'));
        self::assertSame(self::optimum($plan), (string) $changes);
    }

    private static function delay(Plan $plan, Endpoint $endpoint): int
    {
        return (new Values($plan->endpoint($endpoint->id)->settings))->wholeOrNull('retryDelayUs') ?? -1;
    }

    private static function optimum(Plan $plan): string
    {
        $link = $plan->links()[0];
        $settings = PacketSettings::of($link);
        $senders = $plan->sendersOn($link);
        // 1 + 5 + payload + CRC bytes and 9 bits of control at 2 Mbit/s, turn-round, acknowledge without payload: as the trade book counts the frame.
        $air = $settings->air();

        return Optimum::of(self::MODEL, [
            'n' => (string) count($senders),
            'least' => '250',
            'exchange_ns' => (string) ($air->frameNs($settings->payloadBytes) + 130_000 + $air->acknowledgeNs()),
            'now' => Optimum::list(array_map(static fn (Endpoint $endpoint): int => self::delay($plan, $endpoint), $senders)),
            'fixed' => Optimum::list(array_map(static fn (Endpoint $endpoint): string => $endpoint->pins('retryDelayUs') ? 'true' : 'false', $senders)),
        ]);
    }
}
