<?php

declare(strict_types=1);

namespace Tests\Core\Medium\PacketRadio;

use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Medium\PacketRadio\PacketSpectrum;
use Rundfunk\Plan\Plan;
use Tests\Core\CoreTestCase;
use Tests\Core\Optimum;

/** Channels of crowded plans against a proven optimum: minizinc with Gecode (Debian 12), the same demands stated as constraints. */
final class ChannelOptimumTest extends CoreTestCase
{
    private const MODEL = <<<'MZN'
        int: n;
        array[1..n] of int: spacing;
        array[1..n] of set of int: legal;
        array[1..n] of set of int: clear;
        array[1..n] of int: now;
        array[1..n] of bool: fixed;
        array[1..n] of var 0..125: ch;
        constraint forall(i in 1..n)(if fixed[i] then ch[i] = now[i] else ch[i] in legal[i] endif);
        var int: warnings = sum(i in 1..n)(bool2int(not (ch[i] in clear[i]))) + sum(i, j in 1..n where i < j)(bool2int(abs(ch[i] - ch[j]) < max(spacing[i], spacing[j])));
        var int: changes = sum(i in 1..n)(bool2int(now[i] >= 0 /\ ch[i] != now[i]));
        solve minimize 1000 * warnings + changes;
        output ["\(warnings) \(changes)"];
        MZN;

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 8; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function test_no_arrangement_has_fewer_that_suffer_or_fewer_that_change(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $sketch = self::sketch('eu', [1, 6, 11]);
        for ($link = 1, $count = $random->getInt(2, 5); $link <= $count; $link++) {
            $channel = $random->getInt(0, 1) === 1 ? $random->getInt(60, 82) : null;
            $sketch->link("l{$link}", "L{$link}", 'packet-radio', ['rateKbps' => [250, 1000, 2000, 2000][$random->getInt(0, 3)], 'channel' => $channel], $channel !== null && $random->getInt(0, 3) === 0 ? ['channel'] : []);
        }
        $plan = $sketch->plan();
        $assigned = self::assigner()->assign($plan)->plan;
        $changes = 0;
        foreach ($plan->links() as $link) {
            $before = PacketSettings::of($link)->channel;
            $changes += $before !== null && PacketSettings::of($assigned->link($link->id))->channel !== $before ? 1 : 0;
        }
        $warnings = count([...self::found($assigned, 'packet-channel-under-wifi'), ...self::found($assigned, 'packet-links-too-close')]);
        self::assertSame(self::optimum($plan), "{$warnings} {$changes}");
    }

    private static function optimum(Plan $plan): string
    {
        $band = self::knowledge()->catalogue->regionOf($plan)->band(PacketRadio::KEY);
        self::assertNotNull($band);
        $data = ['spacing' => [], 'legal' => [], 'clear' => [], 'now' => [], 'fixed' => []];
        foreach ($plan->links() as $link) {
            $settings = PacketSettings::of($link);
            $spectrum = new PacketSpectrum($band, $plan->properties->busyWifi, $settings->rate);
            $data['spacing'][] = $settings->rate->spacingChannels();
            $data['legal'][] = Optimum::set($spectrum->legalChannels());
            // What is written down as the standard has it, not as the program does.
            $data['clear'][] = Optimum::set(array_filter($spectrum->legalChannels(), static fn (int $channel): bool => self::isClear($channel, $settings->rate->widthMhz())));
            $data['now'][] = $settings->channel ?? -1;
            $data['fixed'][] = $link->pins('channel') && $settings->channel !== null ? 'true' : 'false';
        }

        return Optimum::of(self::MODEL, ['n' => (string) count($plan->links()), ...array_map(Optimum::list(...), $data)]);
    }

    /** Wi-Fi 1, 6, 11: 2401 to 2423, 2426 to 2448, 2451 to 2473 MHz (IEEE 802.11, centre 2407 + 5n, 22 MHz wide); a link of 2 MHz reaches 1 to either side. */
    private static function isClear(int $channel, int $widthMhz): bool
    {
        foreach ([[1, 23], [26, 48], [51, 73]] as [$from, $to]) {
            if ($channel >= $from - intdiv($widthMhz, 2) && $channel <= $to + intdiv($widthMhz, 2)) {
                return false;
            }
        }

        return true;
    }
}
