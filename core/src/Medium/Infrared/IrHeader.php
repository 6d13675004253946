<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Behaviour\CConstants;
use Rundfunk\Build\Define;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\CNames;
use Rundfunk\Text\UniqueNames;

/** What a node's program must know of its end of an infrared link. */
final readonly class IrHeader
{
    /** @return list<Define> */
    public static function defines(Plan $plan, Endpoint $endpoint, Protocols $protocols): array
    {
        $end = IrEnd::of($endpoint);
        $defines = [];
        if ($endpoint->role->receives()) {
            $defines[] = new Define('RECEIVER_KHZ', (string) $end->carrierKhz, 'what the receiver is tuned to');
        }
        if ($endpoint->role->sends() && $end->intervalMs !== null) {
            $defines[] = new Define('INTERVAL_MS', (string) $end->intervalMs, 'from one send to the next, at least');
        }
        $names = new UniqueNames;
        foreach (IrSends::to($plan, $endpoint) as $number => ['code' => $code]) {
            $defines[] = new Define($names->name('KEY_'.CNames::upper($code->name)), (string) ($number + 1), self::words($plan, $code, $protocols));
        }

        return $defines;
    }

    /** @return list<string> */
    public static function tables(Plan $plan, Endpoint $endpoint, string $prefix, Protocols $protocols): array
    {
        return [
            ...self::heard($plan, $endpoint, $prefix, $protocols),
            ...self::sent($plan, $endpoint, $prefix, $protocols),
        ];
    }

    /** @return int bytes that the tables take of an 8-bit board's memory, without a line of them being written: most plans ask for that and no more */
    public static function tableBytes(Plan $plan, Endpoint $endpoint, Protocols $protocols): int
    {
        $bytes = 0;
        $names = [];
        foreach (IrSends::to($plan, $endpoint) as ['code' => $code]) {
            $command = IrCodes::command($code, $protocols);
            if ($command !== null) {
                // Its protocol's name, address, command and key.
                $bytes += CConstants::POINTER + 4 + 4 + 1;
                $names[] = $command->protocol;
            }
        }
        $values = [];
        foreach ($endpoint->role->sends() ? IrSends::from($plan, $endpoint) : [] as ['code' => $code]) {
            $signal = IrCodes::signal($code, $protocols);
            if ($signal === null) {
                continue;
            }
            $bytes += 2 * count($signal->lengthsNs);
            if ($code->outputId !== null && $code->action === Action::Set && $code->value !== null) {
                $values[$code->outputId][$code->value] = true;
            }
        }
        foreach ($values as $told) {
            // A value, where its timings stand, and how many they are.
            $bytes += count($told) < 2 ? 0 : count($told) * (2 + CConstants::POINTER + 2);
        }

        return CConstants::bytes($bytes, $names);
    }

    /** @return list<string> */
    private static function heard(Plan $plan, Endpoint $endpoint, string $prefix, Protocols $protocols): array
    {
        $rows = [];
        foreach (IrSends::to($plan, $endpoint) as $number => ['code' => $code]) {
            $command = IrCodes::command($code, $protocols);
            if ($command !== null) {
                $rows[] = sprintf('    { "%s", 0x%04XUL, 0x%04XUL, %d }, /* %s */', $command->protocol, $command->address, $command->command, $number + 1, CNames::comment(self::words($plan, $code, $protocols)));
            }
        }
        if ($rows === []) {
            return [];
        }
        $type = strtolower($prefix).'_heard';

        return [
            '/* What this node listens for. A held key repeats: act on the first frame only, unless the action may repeat. */',
            "struct {$type} {", '    const char *protocol;', '    uint32_t address;', '    uint32_t command;', '    uint8_t key;', '};',
            "static const struct {$type} {$type}[] = {", ...$rows, '};', '',
        ];
    }

    /** @return list<string> */
    private static function sent(Plan $plan, Endpoint $endpoint, string $prefix, Protocols $protocols): array
    {
        $lines = [];
        $arrays = [];
        $names = new UniqueNames;
        foreach ($endpoint->role->sends() ? IrSends::from($plan, $endpoint) : [] as ['code' => $code]) {
            $signal = IrCodes::signal($code, $protocols);
            if ($signal === null) {
                continue;
            }
            $name = $names->name(strtolower($prefix).'_send_'.CNames::lower("{$plan->node($code->nodeId)->name} {$code->name}"));
            $arrays[$code->id] = ['name' => $name, 'count' => count($signal->lengthsNs), 'output' => $code->outputId ?? ''];
            $lines[] = '/* '.CNames::comment(self::words($plan, $code, $protocols)).'. Marks and spaces in microseconds, mark first. */';
            $lines[] = '#define '.strtoupper($name).'_HZ '.IrCodes::carrierHz($code, $protocols).'UL';
            $lines[] = '#define '.strtoupper($name).'_SENDS '.IrCodes::leastSends($code, $protocols);
            $lines[] = "static const uint16_t {$name}[] = {";
            foreach (array_chunk(explode(' ', $signal->text()), 12) as $chunk) {
                $lines[] = '    '.implode(', ', $chunk).',';
            }
            $lines[] = '};';
            $lines[] = '';
        }

        return [...$lines, ...self::byValue($plan, $arrays, $prefix)];
    }

    /**
     * Which array says which value, for functions that are set to values.
     *
     * @param  array<string, array{name: string, count: int, output: string}>  $arrays  by code
     * @return list<string>
     */
    private static function byValue(Plan $plan, array $arrays, string $prefix): array
    {
        $lines = [];
        $names = new UniqueNames;
        // Those that one of the codes says something of, in the order of the plan.
        $told = array_column($arrays, 'output', 'output');
        foreach ($plan->outputs() as $output) {
            $rows = [];
            if (! isset($told[$output->id])) {
                continue;
            }
            foreach ($plan->keyCodesTo($output) as $code) {
                if (isset($arrays[$code->id]) && $code->action === Action::Set && $code->value !== null) {
                    $rows[$code->value] = "    { {$code->value}, {$arrays[$code->id]['name']}, {$arrays[$code->id]['count']} },";
                }
            }
            if (count($rows) < 2) {
                continue;
            }
            ksort($rows);
            $type = strtolower($prefix).'_value';
            if ($lines === []) {
                $lines = ['/* What to send for each value of a function, the lowest first. */', "struct {$type} {", '    int16_t value;', '    const uint16_t *timings;', '    uint16_t count;', '};', ''];
            }
            $owner = "{$plan->node($output->nodeId)->name} {$output->name}";
            $name = $names->name(strtolower($prefix).'_values_'.CNames::lower($owner));
            $lines = [...$lines, "static const struct {$type} {$name}[] = {", ...array_values($rows), '};', ''];
        }

        return $lines;
    }

    private static function words(Plan $plan, KeyCode $code, Protocols $protocols): string
    {
        return "{$plan->node($code->nodeId)->name}, {$code->name}: ".IrWords::ofCode($code, $protocols);
    }
}
