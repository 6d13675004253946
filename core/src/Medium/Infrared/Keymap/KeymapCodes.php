<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Keymap;

use Rundfunk\Medium\Infrared\PulseFormat;
use Rundfunk\Plan\KeyCode;

/** Between keymaps, which number keys, and key codes, which say address and command. Numbering as the Linux kernel has it. */
final readonly class KeymapCodes
{
    private const DESCRIBED = ['bits', 'bit_pulse', 'bit_0_space', 'bit_1_space'];

    /** @return array{protocol: string, address: int|null, command: int|null, number: string|null, format: string|null} the fields of a key code */
    public static function fields(Keymap $keymap, int $number): array
    {
        $protocol = self::protocol($keymap);
        if ($protocol === 'nec' && $number > 0xFFFF && $number <= 0xFF_FFFF) {
            // Too long for eight bits of address, whatever the file calls it.
            $protocol = 'necx';
        }
        $split = $protocol === null ? null : self::split($protocol, $number);
        if ($protocol !== null && $split !== null) {
            return ['protocol' => $protocol, 'address' => $split[0], 'command' => $split[1], 'number' => null, 'format' => null];
        }
        $format = self::format($keymap);
        if ($format !== null && $number < 1 << $format->bits) {
            return ['protocol' => 'pulse-distance', 'address' => null, 'command' => $number, 'number' => null, 'format' => $format->text()];
        }

        return [
            'protocol' => 'named', 'address' => null, 'command' => null, 'number' => sprintf('0x%02x', $number),
            'format' => trim(mb_substr($keymap->protocol.' '.$keymap->variant, 0, 200)),
        ];
    }

    /**
     * Keymaps of a remote's keys, one a protocol.
     *
     * @param  list<KeyCode>  $codes
     * @return list<Keymap>
     */
    public static function keymaps(string $name, array $codes): array
    {
        $groups = [];
        foreach ($codes as $code) {
            [$protocol, $variant, $parameters, $number] = self::numbered($code) ?? [null, null, [], 0];
            if ($protocol !== null) {
                $key = "{$protocol} {$variant} ".implode(' ', $parameters);
                $groups[$key] ??= ['protocol' => $protocol, 'variant' => $variant, 'parameters' => $parameters, 'keys' => []];
                $groups[$key]['keys'][] = ['number' => $number, 'name' => $code->name];
            }
        }

        return array_values(array_map(
            static fn (array $group): Keymap => new Keymap($name, $group['protocol'], $group['variant'], $group['parameters'], $group['keys']),
            $groups,
        ));
    }

    private static function protocol(Keymap $keymap): ?string
    {
        return match (strtolower($keymap->variant ?? $keymap->protocol)) {
            'nec' => 'nec',
            'necx' => 'necx',
            'nec32', 'nec-32' => 'nec32',
            'rc5', 'rc-5' => 'rc5',
            'rc6_0', 'rc-6-0' => 'rc6',
            'sony12', 'sony-12' => 'sirc12',
            'sony15', 'sony-15' => 'sirc15',
            'sony20', 'sony-20' => 'sirc20',
            default => null,
        };
    }

    /** @return array{int, int}|null address and command */
    private static function split(string $protocol, int $number): ?array
    {
        return match (true) {
            $protocol === 'nec' && $number > 0xFFFF => null,
            $protocol === 'nec' => [$number >> 8, $number & 0xFF],
            $protocol === 'necx' && $number > 0xFF_FFFF => null,
            $protocol === 'necx' => [$number >> 8, $number & 0xFF],
            $protocol === 'nec32' => self::plain($number),
            $protocol === 'rc5' && $number <= 0x1F7F => [$number >> 8, $number & 0x7F],
            $protocol === 'rc6' && $number <= 0xFFFF => [$number >> 8, $number & 0xFF],
            $protocol === 'sirc12', $protocol === 'sirc15' => [$number >> 16, $number & 0x7F],
            $protocol === 'sirc20' => [($number >> 16 & 0x1F) | ($number >> 8 & 0xFF) << 5, $number & 0x7F],
            default => null,
        };
    }

    /** @return array{int, int}|null */
    private static function plain(int $number): ?array
    {
        return $number > 0xFFFF_FFFF ? null : [$number >> 16, $number & 0xFFFF];
    }

    /** @return array{string, string|null, array<string, bool|float|int|string>, int}|null protocol, variant, parameters and number */
    private static function numbered(KeyCode $code): ?array
    {
        $address = $code->address ?? 0;
        $command = $code->command ?? 0;
        if ($code->number !== null) {
            [$protocol, $variant] = [...explode(' ', $code->format ?? 'unknown', 2), null];

            return [(string) $protocol, $variant, [], self::number($code->number)];
        }
        if ($code->command === null) {
            return null;
        }

        return match ($code->protocol) {
            'nec', 'necx' => ['nec', $code->protocol, [], $address << 8 | $command],
            'nec32' => ['nec', 'nec32', [], $address << 16 | $command],
            'rc5' => ['rc5', 'rc5', [], $address << 8 | $command],
            'rc6' => ['rc6', 'rc6_0', [], $address << 8 | $command],
            'sirc12', 'sirc15' => ['sony', 'sony'.substr($code->protocol, 4), [], $address << 16 | $command],
            'sirc20' => ['sony', 'sony20', [], ($address & 0x1F) << 16 | ($address >> 5) << 8 | $command],
            'pulse-distance' => self::described($code, $command),
            default => null,
        };
    }

    /** A number as a foreign keymap writes it, which is whatever somebody typed: "0x1a", or 0. */
    private static function number(string $text): int
    {
        return preg_match('/^0x[0-9A-Fa-f]{1,15}$/D', $text) === 1 ? (int) hexdec(substr($text, 2)) : 0;
    }

    /** @return array{string, null, array<string, int>, int}|null */
    private static function described(KeyCode $code, int $command): ?array
    {
        $format = PulseFormat::tryParse($code->format);
        if ($format === null) {
            return null;
        }
        $us = static fn (int $ns): int => intdiv($ns, 1000);

        return ['pulse_distance', null, [
            'header_pulse' => $us($format->timing->leadMarkNs), 'header_space' => $us($format->timing->leadSpaceNs), 'bits' => $format->bits,
            'bit_pulse' => $us($format->timing->oneMarkNs), 'bit_0_space' => $us($format->timing->zeroSpaceNs), 'bit_1_space' => $us($format->timing->oneSpaceNs),
            'trailer_pulse' => $us($format->timing->stopMarkNs ?? 0), 'reverse' => (int) $format->lowFirst,
        ], $command];
    }

    private static function format(Keymap $keymap): ?PulseFormat
    {
        if ($keymap->protocol !== 'pulse_distance' || array_diff(self::DESCRIBED, array_keys($keymap->parameters)) !== []) {
            return null;
        }
        $whole = static fn (string $name, int $else = 0): int => (int) ($keymap->parameters[$name] ?? $else);

        // As text, for a format's own reader knows what lengths it can have: a file may say anything.
        return PulseFormat::tryParse(sprintf(
            'lead=%d/%d zero=%d/%d one=%d/%d stop=%d bits=%d order=%s carrier=%d gap=40000',
            $whole('header_pulse'), $whole('header_space'), $whole('bit_pulse'), $whole('bit_0_space'), $whole('bit_pulse'), $whole('bit_1_space'),
            $whole('trailer_pulse'), $whole('bits'), $whole('reverse') === 1 ? 'lsb' : 'msb', $whole('carrier', 38_000),
        ));
    }
}
