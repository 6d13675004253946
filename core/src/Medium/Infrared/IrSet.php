<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Learn\CodeSet;
use Rundfunk\Learn\LeftOut;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\ValueSpan;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** A set of toys or appliances: the address counts with the channel, the command with the function and the value. */
final readonly class IrSet
{
    private const MOST_CODES = 2_000;

    public static function shape(Protocols $protocols): Shape
    {
        return Shape::of(
            Field::label('functions', 200, 'What one of the set can do, apart by commas.', 'Drive, Steer')->titled('Functions'),
            Field::whole('channels', 1, 16, 'How many of them there are, each on a channel of its own.', 1)->titled('Channels'),
            Field::whole('lowest', -1_000, 1_000, 'The lowest speed or level; below nought is backwards.', -7)->titled('From'),
            Field::whole('highest', -1_000, 1_000, 'The highest.', 7)->titled('to'),
            Field::oneOf('protocol', array_keys($protocols->names()), 'How it is sent.', 'nec')->titled('Protocol')->named(array_values($protocols->names())),
            Field::whole('address', 0, 0xFFFF, 'Address of the first channel.', 1)->titled('Address'),
            Field::whole('perChannel', -0xFF, 0xFF, 'How much the address goes up from channel to channel.', 1)->titled('per channel'),
            Field::whole('command', 0, 0xFFFF, 'Command of the first function at its lowest value.', 0)->titled('Command'),
            Field::whole('perValue', -0xFF, 0xFF, 'How much the command goes up with each value.', 1)->titled('per value'),
            Field::whole('perFunction', -10_000, 10_000, 'How much the command goes up from function to function; if it is not said, the next power of two that holds all the values.')->nullable()->titled('per function'),
        );
    }

    public static function layOut(Plan $plan, Node $node, Values $values, Protocols $protocols): CodeSet
    {
        $functions = array_values(array_unique(array_filter(array_map(trim(...), explode(',', $values->text('functions'))), static fn (string $name): bool => $name !== '')));
        $lowest = $values->whole('lowest');
        $highest = $values->whole('highest');
        $channels = $values->whole('channels');
        if ($functions === []) {
            throw PlanRefused::at('/values/functions', 'must name what it can do');
        }
        if ($highest <= $lowest) {
            throw PlanRefused::at('/values/highest', 'must be above the lowest');
        }
        $span = new ValueSpan($lowest, $highest);
        $size = $channels * count($functions) * count($span->values());
        if ($size > self::MOST_CODES) {
            throw PlanRefused::at('/values/highest', "makes a set of {$size} codes; at most ".self::MOST_CODES.' can be laid out at once');
        }
        $perFunction = $values->wholeOrNull('perFunction') ?? 2 ** (int) ceil(log(count($span->values()), 2));
        $functionOrder = self::next(array_map(static fn (Output $output): int => $output->order, $plan->outputsOf($node)));
        $codeOrder = self::next(array_map(static fn (KeyCode $code): int => $code->order, $plan->keyCodesOf($node)));
        $cells = [];
        $operations = [];
        $codes = $plan->keyCodesOf($node);
        for ($channel = 1; $channel <= $channels; $channel++) {
            foreach ($functions as $at => $function) {
                $name = $channels === 1 ? $function : "{$function} {$channel}";
                $there = self::named($plan, $node, $name);
                $output = $there ?? new Output(
                    $plan->newId('set', $node->id, $name), $node->id, mb_substr($name, 0, 80), OutputKind::Function, null, $channels === 1 ? null : (string) $channel,
                    order: $functionOrder++, settings: ['lowest' => $lowest, 'highest' => $highest, 'unit' => ''],
                );
                $added = [];
                foreach ($span->values() as $value) {
                    $code = new KeyCode(
                        $plan->newId('set', $output->id, (string) $value), $node->id, mb_substr("{$name} {$value}", 0, 80), $values->text('protocol'),
                        $values->whole('address') + ($channel - 1) * $values->whole('perChannel'),
                        $values->whole('command') + $at * $perFunction + ($value - $lowest) * $values->whole('perValue'),
                        outputId: $output->id, action: Action::Set, order: $codeOrder, value: $value,
                    );
                    [$left, $remark] = self::remark($plan, $there, $code, $codes, $protocols);
                    if ($left === null) {
                        $codeOrder++;
                        $codes[] = $code;
                        $added[] = Operation::add($code);
                    }
                    $cells[] = ['function' => $name, 'channel' => $output->channel, 'value' => $value, 'says' => IrWords::inShort($code), 'left' => $left?->value, 'remark' => $remark];
                }
                if ($added !== []) {
                    $operations = [...$operations, ...self::taking($output, $there, $span), ...$added];
                }
            }
        }

        return new CodeSet($cells, $operations);
    }

    /**
     * What has to be so of the function before its codes can be added.
     *
     * @return list<Operation>
     */
    private static function taking(Output $output, ?Output $there, ValueSpan $span): array
    {
        return match (true) {
            $there === null => [Operation::add($output)],
            $there->span() === null => [Operation::change(ThingKind::Output, $there->id, ['settings' => ['lowest' => $span->lowest, 'highest' => $span->highest]])],
            default => [],
        };
    }

    /**
     * @param  list<KeyCode>  $codes  those that the node has, and those laid out before
     * @return array{LeftOut|null, string|null} why a code cannot be, or need not be, added
     */
    private static function remark(Plan $plan, ?Output $there, KeyCode $code, array $codes, Protocols $protocols): array
    {
        foreach ($there === null ? [] : $plan->keyCodesTo($there) as $known) {
            if ($known->action === Action::Set && $known->value === $code->value) {
                return [LeftOut::There, "there already, as {$known->name}"];
            }
        }
        if ($code->address < 0 || $code->command < 0 || IrCodes::signal($code, $protocols) === null) {
            $protocol = $protocols->named($code->protocol);

            return [LeftOut::Beyond, "beyond {$protocol->name()}: its addresses go to {$protocol->highestAddress()}, its commands to {$protocol->highestCommand()}"];
        }
        foreach ($codes as $other) {
            if ($other->address === $code->address && $other->command === $code->command && $other->protocol === $code->protocol) {
                return [LeftOut::Twin, "the same code as {$other->name}"];
            }
        }

        return [null, null];
    }

    private static function named(Plan $plan, Node $node, string $name): ?Output
    {
        foreach ($plan->outputsOf($node) as $output) {
            if (mb_strtolower($output->name) === mb_strtolower($name)) {
                return $output;
            }
        }

        return null;
    }

    /** @param  list<int>  $orders */
    private static function next(array $orders): int
    {
        return max([-1, ...$orders]) + 1;
    }
}
