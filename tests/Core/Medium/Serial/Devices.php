<?php

declare(strict_types=1);

namespace Tests\Core\Medium\Serial;

use Rundfunk\Demo\Sketch;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Role;

/** Made-up devices that were bought, and a board that commands them. */
final class Devices
{
    /** @return array<string, array<string, mixed>> protocols by what is odd about them */
    public static function protocols(): array
    {
        $given = static fn (array $more): array => ['given' => true, ...$more];
        $head = [['is' => 'fixed', 'bits' => 8, 'value' => 0x55], ['is' => 'id'], ['is' => 'function'], ['is' => 'length', 'value' => 1], ['is' => 'values'], ['is' => 'check']];
        $drive = [
            ['name' => 'Go', 'kind' => 'does', 'code' => 1, 'word' => 'GO', 'answered' => true, 'takesMs' => 400, 'done' => 'polled', 'doneBy' => 'Moving', 'doneIs' => 0,
                'sends' => [$given(['bits' => 16, 'signed' => true, 'lowest' => -1_000, 'highest' => 1_000, 'times' => 10]), ['bits' => 8, 'fixed' => '7']], 'answers' => [['bits' => 8, 'fixed' => '0']]],
            ['name' => 'Lamp', 'kind' => 'does', 'code' => 2, 'word' => 'LAMP', 'sends' => [$given(['bits' => 8, 'on' => '0xFF', 'off' => '0'])]],
            ['name' => 'Home', 'kind' => 'does', 'code' => 3, 'word' => 'HOME', 'takesMs' => 300, 'done' => 'answered', 'answerCode' => 0x83, 'answerWord' => 'ATHOME'],
            ['name' => 'Rest', 'kind' => 'does', 'code' => 4, 'word' => 'REST', 'answered' => true, 'takesMs' => 200, 'answers' => []],
            ['name' => 'Moving', 'kind' => 'answers', 'code' => 5, 'word' => 'MOVING?', 'answerWord' => 'MOVING', 'everyMs' => 60, 'answers' => [$given(['bits' => 8])]],
            ['name' => 'Warmth', 'kind' => 'answers', 'code' => 6, 'word' => 'TEMP?', 'answerWord' => 'TEMP', 'everyMs' => 90, 'answers' => [['bits' => 4, 'fixed' => ''], $given(['bits' => 12, 'signed' => true, 'divided' => 1, 'times' => 16, 'decimals' => 2])]],
            ['name' => 'Card', 'kind' => 'says', 'code' => 7, 'word' => 'CARD', 'sends' => [$given(['bits' => 24])]],
        ];
        $seven = [['is' => 'fixed', 'bits' => 1, 'value' => 1], ['is' => 'function', 'bits' => 3], ['is' => 'id', 'bits' => 4], ['is' => 'values'], ['is' => 'check']];
        $sevenDrive = [
            ['name' => 'Go', 'kind' => 'does', 'code' => 1, 'takesMs' => 100, 'sends' => [$given(['bits' => 14, 'signed' => true])]],
            ['name' => 'Lamp', 'kind' => 'does', 'code' => 2, 'answered' => true, 'sends' => [$given(['bits' => 7, 'on' => '127', 'off' => '0'])], 'answers' => [['bits' => 7, 'fixed' => '1']]],
            ['name' => 'Home', 'kind' => 'does', 'code' => 3],
            ['name' => 'Rest', 'kind' => 'does', 'code' => 4],
            ['name' => 'Moving', 'kind' => 'answers', 'code' => 5, 'everyMs' => 50, 'answers' => [$given(['bits' => 7])]],
            ['name' => 'Warmth', 'kind' => 'answers', 'code' => 6, 'everyMs' => 70, 'answers' => [$given(['bits' => 21, 'signed' => true, 'divided' => 10])]],
            ['name' => 'Card', 'kind' => 'says', 'code' => 7, 'sends' => [$given(['bits' => 28])]],
        ];
        $words = array_map(static fn (array $one): array => match ($one['name']) {
            'Lamp' => [...$one, 'sends' => [$given(['on' => 'ON', 'off' => 'OFF'])], 'answered' => true, 'answerWord' => 'OK'],
            'Warmth' => [...$one, 'answers' => [['fixed' => ''], $given(['times' => 100, 'decimals' => 2])]],
            default => $one,
        }, $drive);

        return [
            'a start byte, lengths, CRC-16/MODBUS low byte first' => ['parts' => $head, 'check' => 'crc-16/modbus', 'checkLowFirst' => true, 'items' => $drive],
            'values low byte first, a sum that leaves out the start' => ['parts' => $head, 'check' => 'sum-8', 'checkFrom' => 1, 'lowFirst' => true, 'items' => $drive],
            'seven bits a byte, exclusive or' => ['parts' => $seven, 'coding' => 'seven', 'check' => 'xor-8', 'items' => $sevenDrive],
            'stuffed as RFC 1055 has it' => ['parts' => [['is' => 'id'], ['is' => 'function'], ['is' => 'values'], ['is' => 'check']], 'coding' => 'slip', 'check' => 'crc-8', 'items' => $drive],
            'stuffed as RFC 1662 has it, X-25' => ['parts' => [['is' => 'id'], ['is' => 'function'], ['is' => 'values'], ['is' => 'check']], 'coding' => 'hdlc', 'check' => 'crc-16/x-25', 'checkLowFirst' => true, 'items' => $drive],
            'words' => ['form' => 'words', 'lead' => '#', 'idAs' => 'number', 'afterId' => ':', 'between' => ' ', 'separator' => ',', 'ending' => '\r\n', 'items' => $words],
            'words with a check, ids as letters, bare answers' => ['form' => 'words', 'lead' => '\x1b', 'idAs' => 'letter', 'between' => '=', 'separator' => ';', 'ending' => '\r', 'bare' => true, 'check' => 'xor-8', 'checkFrom' => 1, 'items' => $words],
        ];
    }

    /**
     * @param  array<string, mixed>  $protocol
     * @param  array<string, mixed>  $settings  of the line, otherwise than usual
     */
    public static function line(Sketch $sketch, array $protocol, int $count = 2, array $settings = []): Sketch
    {
        $sketch->protocol('p', 'Drive', ['logicV' => 5.0, ...$protocol])->link('l', 'Line', 'serial', ['topology' => 'polled', 'baud' => 38_400, 'timeoutMs' => 20, 'gapMs' => 2, ...$settings])
            ->node('n', 'Board', NodeKind::Controller, null, '8bit-5v-70io')->module('w', 'n', 'serial-wire', 'Line')->join('l', 'n', Role::Both, 'w', ['asks' => true])
            ->output('o', 'n', 'Pilot')->output('o2', 'n', 'Warm');
        for ($number = 1; $number <= $count; $number++) {
            $device = "d{$number}";
            $sketch->node($device, "Drive {$number}", NodeKind::Fixture, null, null, ['protocolId' => $sketch->id('p')])->join('l', $device, Role::Both, null, ['station' => $number + 2])
                ->output("{$device}go", $device, 'Go', OutputKind::Function, null, 'Go', more: ['settings' => ['lowest' => -1_000, 'highest' => 1_000]])
                ->output("{$device}lamp", $device, 'Lamp', OutputKind::Function, null, 'Lamp')
                ->output("{$device}home", $device, 'Home', OutputKind::Function, null, 'Home')
                ->output("{$device}rest", $device, 'Rest', OutputKind::Function, null, 'Rest')
                ->control("{$device}warm", $device, 'Warmth', ControlKind::Reading, null, 'Warmth', ['threshold' => 30, 'unit' => '°C'])
                ->control("{$device}done", $device, 'Done', ControlKind::Reading, null, 'Go', ['threshold' => 0.5, 'hysteresis' => 0.2])
                ->control("{$device}card", $device, 'Card', ControlKind::Key, null, 'Card')
                ->control("k{$number}", 'n', "Key {$number}")
                ->control("x{$number}", 'n', "Stick {$number}", ControlKind::Axis)
                ->route("k{$number}", Action::On, "{$device}lamp")->route("k{$number}", Action::On, "{$device}home")->route("k{$number}", Action::Pulse, "{$device}rest")
                ->control("s{$number}", 'n', "Switch {$number}", ControlKind::Switch)->route("s{$number}", Action::Off, "{$device}lamp")
                ->route("x{$number}", Action::Set, "{$device}go")
                ->route("{$device}warm", Action::Follow, 'o2')->route("{$device}done", Action::On, 'o')->route("{$device}card", Action::Toggle, 'o');
            foreach (["k{$number} {$device}lamp on", "k{$number} {$device}home on", "k{$number} {$device}rest pulse", "s{$number} {$device}lamp off", "x{$number} {$device}go set"] as $route) {
                $sketch->hop($route, 'l', 'n', $device, null);
            }
            foreach (["{$device}warm o2 follow", "{$device}done o on", "{$device}card o toggle"] as $route) {
                $sketch->hop($route, 'l', $device, 'n', null);
            }
        }

        return $sketch;
    }
}
