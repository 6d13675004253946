<?php

declare(strict_types=1);

namespace Tests\Client;

use Rundfunk\Medium\Dmx\Multicast;
use Rundfunk\Medium\Dmx\NetworkPacket;
use Symfony\Component\Process\Process;
use Tests\Core\CoreTestCase;

/** Packets of a universe as tshark (Debian 12) reads them: its own reading of ANSI E1.31. */
final class NetworkSlotsTest extends CoreTestCase
{
    public function test_a_reader_that_others_wrote_finds_every_field(): void
    {
        mt_srand(31);
        $packets = [];
        $expected = [];
        foreach ([[1, 512, 100, 'Desk'], [63_999, 24, 200, 'Schuppen, ganz hinten: Lampen überm Pflanztisch und im Obstgarten'], [7_962, 170, 0, '"); evil']] as $sequence => [$universe, $count, $priority, $name]) {
            $slots = '';
            for ($at = 0; $at < $count; $at++) {
                $slots .= chr(mt_rand(0, 255));
            }
            $packet = new NetworkPacket(random_bytes(16), $name, $universe, $priority);
            $packets[] = [Multicast::address($universe), $packet->bytes($slots, 250 + 3 * $sequence)];
            $expected[] = [$universe, $priority, (250 + 3 * $sequence) & 0xFF, $count + 1, mb_strcut($name, 0, 63), bin2hex($slots), bin2hex($packet->source), Multicast::address($universe)];
        }
        $file = sys_get_temp_dir().'/rundfunk-slots-'.bin2hex(random_bytes(6)).'.pcap';
        file_put_contents($file, self::capture($packets));
        try {
            $run = new Process(['tshark', '--enable-heuristic', 'acn', '-o', 'acn.dmx_enable:TRUE', '-r', $file, '-T', 'json', '-x'], timeout: 60);
            $run->mustRun();
            $read = json_decode($run->getOutput(), true);
        } finally {
            unlink($file);
        }
        self::assertIsArray($read);
        self::assertCount(3, $read);
        // The same name stands for the whole and for each of its rows.
        preg_match_all('/"acn\.dmx\.data_raw": \[\s*"([0-9a-f]+)"/', $run->getOutput(), $whole);
        foreach ($read as $number => $one) {
            $fields = [];
            self::assertIsArray($one);
            array_walk_recursive($one, static function (mixed $value, int|string $key) use (&$fields): void {
                $fields[(string) $key] ??= $value;
            });
            [$universe, $priority, $sequence, $properties, $name, $data, $source, $group] = $expected[$number];
            self::assertSame((string) $universe, $fields['acn.dmx.universe'] ?? null);
            self::assertSame((string) $priority, $fields['acn.dmx.priority'] ?? null);
            self::assertSame((string) $sequence, $fields['acn.dmx.seq_number'] ?? null);
            self::assertSame($name, $fields['acn.dmx.source_name'] ?? null);
            self::assertSame($source, str_replace('-', '', (string) ($fields['acn.cid'] ?? '')));
            self::assertSame($group, $fields['ip.dst'] ?? null);
            self::assertArrayNotHasKey('_ws.malformed', $fields);
            self::assertSame((string) $properties, $fields['acn.dmx.count'] ?? null);
            self::assertSame('0', $fields['acn.dmx.start_code2'] ?? null);
            self::assertContains($data, $whole[1]);
        }
    }

    /**
     * @param  list<array{string, string}>  $packets  group and UDP payload
     * @return string a capture file of raw IP packets
     */
    private static function capture(array $packets): string
    {
        $file = pack('VvvVVVV', 0xA1B2_C3D4, 2, 4, 0, 0, 65_535, 101);
        foreach ($packets as [$group, $payload]) {
            $length = 28 + strlen($payload);
            $ip = pack('CCnnnCCn', 0x45, 0, $length, 1, 0, 1, 17, 0).inet_pton('192.0.2.1').inet_pton($group);
            $sum = array_sum((array) unpack('n*', $ip));
            $sum = ($sum >> 16) + ($sum & 0xFFFF);
            $ip = substr_replace($ip, pack('n', ~($sum + ($sum >> 16)) & 0xFFFF), 10, 2);
            $file .= pack('VVVV', 0, 0, $length, $length).$ip.pack('nnnn', Multicast::PORT, Multicast::PORT, 8 + strlen($payload), 0).$payload;
        }

        return $file;
    }
}
