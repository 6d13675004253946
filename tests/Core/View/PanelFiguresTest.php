<?php

declare(strict_types=1);

namespace Tests\Core\View;

use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Demo\FedFrom;
use Rundfunk\Demo\Sketch;
use Rundfunk\Medium\Cellular\ModemLamp;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\PartKind;
use Rundfunk\Plan\Role;
use Tests\Core\CoreTestCase;

/** What each instrument panel shows, against the figures of the trade: the standard or sheet is named beside each. */
final class PanelFiguresTest extends CoreTestCase
{
    /** @return iterable<string, array{array<string, float|int>, float, float, int, float}> emitter's settings, exact and chosen ohms, rating to buy in mW, reach */
    public static function emitters(): iterable
    {
        // Ohm's law with 0.2 V for the transistor, E24 of IEC 60063, twice the power; inverse square for 60 mW/sr and 0.4 mW/m².
        yield 'one at 100 mA from 5 V' => [['currentMa' => 100], 34.5, 36.0, 1000, 12.2];
        yield 'two in series' => [['currentMa' => 100, 'leds' => 2], 21.0, 22.0, 500, 12.2];
        yield 'one at 20 mA' => [['currentMa' => 20], 172.5, 180.0, 250, 5.5];
        yield 'four times the intensity, twice the reach' => [['currentMa' => 100, 'intensityMwSr' => 240], 34.5, 36.0, 1000, 24.5];
    }

    /** @param  array<string, float|int>  $settings */
    #[DataProvider('emitters')]
    public function test_an_emitter_s_resistor_and_reach(array $settings, float $exact, float $chosen, int $ratingMw, float $reachM): void
    {
        foreach ([[false, $reachM], [true, $reachM / 2]] as [$sunlit, $metres]) {
            $panel = self::panel(self::sketch()
                ->link('l', 'Room', 'infrared', ['sunlit' => $sunlit])
                ->node('n', 'Sender', NodeKind::Controller, null, '8bit-5v-20io')->module('m', 'n', 'infrared-emitter', 'LED', FedFrom::Board5V)
                ->join('l', 'n', Role::Sends, 'm', $settings));
            $end = self::rows($panel, 'ends')[0];
            self::assertIsArray($end['led']);
            self::assertSame($exact, $end['led']['exactOhm']);
            self::assertSame($chosen, (float) $end['led']['chosenOhm']);
            self::assertSame($ratingMw, $end['led']['ratingMw']);
            self::assertSame('transistor', $end['led']['driven']);
            // Halved in the sun: common practice.
            self::assertEqualsWithDelta($metres, $end['reachM'], 0.1);
        }
    }

    /** @return iterable<string, array{string, int, float|null, float, int}> protocol, carrier in kHz, length in ms where it does not hang on the code, period in ms, sends */
    public static function protocols(): iterable
    {
        // As the Linux kernel's remote-control core has them.
        yield 'NEC' => ['nec', 38, 68.06, 108.0, 1];
        yield 'RC-5' => ['rc5', 36, null, 113.8, 1];
        yield 'RC-6' => ['rc6', 36, null, 107.0, 1];
        yield 'SIRC' => ['sirc12', 40, null, 45.0, 3];
    }

    #[DataProvider('protocols')]
    public function test_a_learned_code_s_carrier_and_times(string $protocol, int $carrierKhz, ?float $durationMs, float $periodMs, int $sends): void
    {
        $panel = self::panel(self::sketch()->link('l', 'Room', 'infrared')->node('r', 'Remote', NodeKind::Remote, null, null)->join('l', 'r', Role::Sends)->control('k', 'r', 'Key', ControlKind::Key)->keyCode('r', 'Key', $protocol, 4, 8, control: 'k'));
        $code = self::rows($panel, 'codes')[0];
        self::assertSame($carrierKhz, (int) $code['carrierKhz']);
        if ($durationMs !== null) {
            self::assertSame($durationMs, $code['durationMs']);
        }
        self::assertEqualsWithDelta($periodMs, $code['periodMs'], 1.0);
        self::assertSame($sends, $code['sends']);
        self::assertIsArray($code['lengthsUs']);
        self::assertSame(1, count($code['lengthsUs']) % 2, 'a signal begins and ends with a mark');
    }

    /** @return iterable<string, array{int, int, int, float, float, int}> frequency, pulse, repeats, frame and press in ms, wire in mm */
    public static function keyed(): iterable
    {
        // 24 bits of 4 T and a sync of 32 T; 0.95 of a quarter wave. Common practice.
        yield 'the usual' => [433_920, 350, 4, 44.8, 179.2, 164];
        yield 'slower, more often' => [433_920, 500, 8, 64.0, 512.0, 164];
        yield 'at 868 MHz' => [868_350, 350, 4, 44.8, 179.2, 82];
        yield 'at 315 MHz' => [315_000, 350, 4, 44.8, 179.2, 226];
    }

    #[DataProvider('keyed')]
    public function test_a_fixed_code_s_time_on_the_air_and_its_wire(int $freqKhz, int $pulseUs, int $repeats, float $frameMs, float $pressMs, int $wireMm): void
    {
        $panel = self::panel(self::sketch()->link('l', 'Fob', 'keyed-radio', ['freqKhz' => $freqKhz, 'pulseUs' => $pulseUs, 'repeats' => $repeats]));
        self::assertSame($frameMs, $panel['frameMs']);
        self::assertSame($pressMs, $panel['pressMs']);
        self::assertSame($wireMm, $panel['quarterWaveMm']);
    }

    public function test_a_modem_s_supply_sags_as_the_circuit_says(): void
    {
        // 2 A for 577 µs in 4.615 ms from 4.0 V over 1 Ω with 2200 µF: 3.54 V after the first burst, 3.47 V once it has gone on (3GPP TS 45.002; worked by hand).
        $panel = self::panel(self::sketch()
            ->link('l', 'Mobile', 'cellular', ['country' => 'GB'])
            ->node('n', 'Post', NodeKind::Controller, null, '8bit-5v-20io')->supply('s', 'n', 'other', 'Feed', more: ['volts' => 4.0, 'sourceOhm' => 1.0])->module('m', 'n', 'modem-2g', 'Modem', 's')
            ->part('m', 'VBAT', PartKind::Capacitor, ['microfarads' => 2200, 'esrOhm' => 0.0])
            ->join('l', 'n', Role::Both, 'm'));
        $modem = self::rows($panel, 'modems')[0];
        self::assertIsArray($modem['supply']);
        self::assertEqualsWithDelta(3.54, $modem['supply']['firstV'], 0.005);
        self::assertEqualsWithDelta(3.47, $modem['supply']['steadyV'], 0.005);
        self::assertSame(3.4, $modem['supply']['leastV']);
        self::assertSame('Feed', $modem['fedBy']);
        // 300 mA of a call on average, through the ohm: 0.3 V less of 3.8.
        self::assertSame('3.5 to 4.2 V', $modem['volts']);
    }

    public function test_the_lamp_s_table_has_every_state_it_can_be_in(): void
    {
        $panel = self::panel(self::sketch()->link('l', 'Mobile', 'cellular', ['country' => 'GB']));
        self::assertCount(count(ModemLamp::cases()), self::rows($panel, 'lamp'));
    }

    /** @return iterable<string, array{int, int}> keep-alive, seconds until it is known to be gone */
    public static function presences(): iterable
    {
        // MQTT 3.1.1, 3.1.2.10: one and a half times the keep-alive.
        yield 'half a minute' => [30, 45];
        yield 'a minute' => [60, 90];
        yield 'ten seconds' => [10, 15];
    }

    #[DataProvider('presences')]
    public function test_a_node_is_known_to_be_gone_after_one_and_a_half_times_its_keep_alive(int $keepAliveS, int $goneAfterS): void
    {
        $panel = self::panel(self::sketch()->link('l', 'House', 'ip', ['keepAliveS' => $keepAliveS]));
        self::assertSame($goneAfterS, (int) $panel['goneAfterS']);
    }

    /** @return array<string, mixed> */
    private static function panel(Sketch $sketch): array
    {
        return array_values(array_filter(self::shown('link-panel', $sketch->plan())))[0]['figures'];
    }

    /**
     * @param  array<string, mixed>  $panel
     * @return list<array<string, mixed>>
     */
    private static function rows(array $panel, string $name): array
    {
        $rows = $panel[$name];
        self::assertIsArray($rows);

        return array_values($rows);
    }
}
