<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Figures;
use Rundfunk\Frame\Checksum;
use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolForm;
use Rundfunk\Plan\ProtocolItem;
use Rundfunk\Plan\ProtocolItemKind;
use Rundfunk\Plan\ProtocolPart;
use Rundfunk\Plan\ProtocolPartKind;
use Rundfunk\Plan\ProtocolValue;
use WeakMap;

/** Whether what was written down of a manual can be so. */
final class Description
{
    /** @var WeakMap<Protocol, list<string>>|null by what is written down: several lines may speak it, and it never changes */
    private static ?WeakMap $known = null;

    /** The most bytes that a small board keeps of a frame. */
    private const LONGEST = 200;

    /** So many that look alike are enough to be told of. */
    private const MOST = 10;

    /**
     * @param  bool  $several  several devices on one line speak it
     * @return list<string> what is wrong, for a person; empty where nothing is
     */
    public static function faults(Protocol $protocol, bool $several): array
    {
        self::$known ??= new WeakMap;
        self::$known[$protocol] ??= [...self::ofForm($protocol), ...self::ofItems($protocol), ...self::alike($protocol)];

        return [...self::$known[$protocol], ...($several && ! $protocol->hasIds() ? ['several share a line, and it has no ids to tell them apart'] : [])];
    }

    /** What was sent reads as the answer to it. */
    public static function answersAsSent(Protocol $protocol, ProtocolItem $item): bool
    {
        if (! $item->isAnswered()) {
            return false;
        }
        $form = Forms::of($protocol);
        $value = $item->set();

        return self::reads($protocol, $form->encode(Saying::sent($item), 1, $value === null || $value->isSwitch() ? 0 : Figure::wire($value, $value->lowest ?? 0)), Saying::answer($item));
    }

    /** @return list<string> */
    private static function ofForm(Protocol $protocol): array
    {
        $faults = [];
        if ($protocol->form === ProtocolForm::Words) {
            $faults = Escaped::bytes($protocol->ending) === '' ? ['nothing says where a line of it ends'] : [];
        } else {
            $count = static fn (ProtocolPartKind $kind): int => count(array_filter($protocol->parts, static fn (ProtocolPart $part): bool => $part->is === $kind));
            $faults = array_keys(array_filter([
                'its packets have a check and no place for it' => $protocol->check !== Checksum::None && $count(ProtocolPartKind::Check) === 0,
                'its packets have a place for a check and none is named' => $protocol->check === Checksum::None && $count(ProtocolPartKind::Check) > 0,
                'its packets have two places for the check' => $count(ProtocolPartKind::Check) > 1,
                'its packets have no place for values' => $count(ProtocolPartKind::Values) === 0 && array_filter($protocol->items, static fn (ProtocolItem $item): bool => $item->sends !== [] || $item->answers !== []) !== [],
            ]));
        }

        return $faults;
    }

    /** @return list<string> */
    private static function ofItems(Protocol $protocol): array
    {
        $faults = $names = [];
        $form = Forms::of($protocol);
        foreach ($protocol->items as $item) {
            $names[$item->name] = ($names[$item->name] ?? 0) + 1;
            foreach (['' => Saying::sent($item), 'the answer to ' => Saying::answer($item)] as $what => $saying) {
                if ($what !== '' && ! $item->isAnswered()) {
                    continue;
                }
                $fault = $form instanceof PacketForm ? $form->fault($saying) : null;
                $given = array_filter($saying->values, static fn (ProtocolValue $value): bool => $value->given);
                $faults = [...$faults, ...array_map(static fn (string $fault): string => "{$what}{$item->name}: {$fault}", [
                    ...($fault === null ? [] : [$fault]),
                    ...(count($given) > 1 ? ['two of its values are set by the plan'] : []),
                    ...($form->mostBytes($saying) > self::LONGEST ? ['it is longer than '.Figures::counted(self::LONGEST, 'byte')] : []),
                    ...self::ofValues($protocol, $saying),
                ])];
            }
        }
        foreach ($names as $name => $times) {
            $faults = $times > 1 ? [...$faults, "two are called {$name}"] : $faults;
        }

        return $faults;
    }

    /** @return list<string> */
    private static function ofValues(Protocol $protocol, Saying $saying): array
    {
        $faults = [];
        foreach ($saying->values as $value) {
            $name = $value->name === '' ? 'a value' : $value->name;
            $texts = array_filter($value->isSwitch() && $value->given ? [$value->on, $value->off] : [$value->fixed], static fn (string $text): bool => $text !== '' || ($value->isSwitch() && $value->given));
            foreach ($protocol->form === ProtocolForm::Packet ? $texts : [] as $text) {
                if (! Figure::isNumber($text)) {
                    $faults[] = "{$name} is to be \"{$text}\", which is no number";
                } elseif (! self::holds($value, Figure::number($text))) {
                    $faults[] = "{$name} has {$value->bits} bits and does not hold {$text}";
                }
            }
            if ($value->given && $value->isSwitch() && $value->on === $value->off) {
                $faults[] = "{$name} is the same on and off";
            }
            foreach ($protocol->form === ProtocolForm::Packet && $value->given && ! $value->isSwitch() ? array_filter([$value->lowest, $value->highest], is_int(...)) : [] as $figure) {
                if (! self::holds($value, Figure::wire($value, $figure))) {
                    $faults[] = "{$name} has {$value->bits} bits and does not hold {$figure}";
                }
            }
        }

        return $faults;
    }

    private static function holds(ProtocolValue $value, int $number): bool
    {
        return $number < 0 ? $value->signed && $number >= -(1 << $value->bits - 1) : $number < 1 << ($value->signed && $value->given ? $value->bits - 1 : $value->bits);
    }

    /** @return list<string> functions that nothing on the line tells apart, the first of them */
    private static function alike(Protocol $protocol): array
    {
        $told = array_values(array_filter($protocol->items, static fn (ProtocolItem $item): bool => $item->kind !== ProtocolItemKind::Says));
        $form = Forms::of($protocol);
        $faults = [];
        foreach ($told as $at => $item) {
            $bytes = $form->encode(Saying::sent($item), 1, 0);
            foreach (array_slice($told, $at + 1) as $other) {
                if (count($faults) < self::MOST && self::mayBeAlike($protocol, $item, $other) && self::reads($protocol, $bytes, Saying::sent($other))) {
                    $faults[] = "{$item->name} and {$other->name} look the same on the line";
                }
            }
        }

        return $faults;
    }

    /** What begins otherwise is told apart at once. */
    private static function mayBeAlike(Protocol $protocol, ProtocolItem $item, ProtocolItem $other): bool
    {
        if ($protocol->form === ProtocolForm::Words) {
            return str_starts_with($item->word, $other->word) || str_starts_with($other->word, $item->word);
        }
        foreach ($protocol->parts as $part) {
            if ($part->is === ProtocolPartKind::Function && (($item->code ^ $other->code) & (1 << $part->bits) - 1) !== 0) {
                return false;
            }
        }

        return true;
    }

    private static function reads(Protocol $protocol, string $bytes, Saying $saying): bool
    {
        $form = Forms::of($protocol);
        $received = Forms::received($protocol, max($form->keptBytes($saying), strlen($bytes)));
        foreach ($bytes === '' ? [] : str_split($bytes) as $byte) {
            $received->push(ord($byte));
        }

        // The whole of it, and not its tail.
        return $form->decode($saying, 1, $received) !== null && $form->mostBytes($saying) >= strlen($bytes);
    }
}
