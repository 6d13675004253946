<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Dbc;

use Rundfunk\Medium\Can\CanFrame;
use Rundfunk\Medium\Can\RecordingRefused;
use Rundfunk\Plan\BusMessage;
use Rundfunk\Plan\BusSignal;
use Rundfunk\Shape\Values;

/**
 * A DBC file, the open form in which messages of a bus are described: messages, signals, what figures mean, how often messages come. All else
 * is passed over. A signal that is there only under some figure of another, or that is a floating-point number, is left out and said.
 */
final class ReadsDbc
{
    private const LONGEST = 4_000_000;

    private const STATEMENT_LONGEST = 100_000;

    private const EXTENDED = 0x8000_0000;

    /** How the name ends that stands for no node. */
    private const NOBODY = '__XXX';

    /** Where a file keeps signals that no message has. */
    private const NO_MESSAGE = 0xC000_0000;

    /** @var array<int, BusMessage> by identifier, as the file writes it */
    private array $messages = [];

    /** @var array<int, string> */
    private array $senders = [];

    /** @var list<string> */
    private array $leftOut = [];

    private ?int $current = null;

    private int $usualPeriodMs = 0;

    private function __construct()
    {
    }

    /** @throws RecordingRefused */
    public static function from(string $text): Description
    {
        if (strlen($text) > self::LONGEST) {
            throw RecordingRefused::description(1, 'it is longer than '.(self::LONGEST / 1_000_000).' MB');
        }
        // Older files are of eight bits a letter.
        $text = mb_check_encoding($text, 'UTF-8') ? $text : mb_convert_encoding($text, 'UTF-8', 'Windows-1252');
        $read = new self;
        foreach (self::statements($text) as [$number, $statement]) {
            $read->take($number, $statement);
        }
        if ($read->messages === []) {
            throw RecordingRefused::description(1, 'no message is in it; one begins with BO_');
        }
        $described = [];
        foreach ($read->messages as $key => $message) {
            $described[] = new DescribedMessage($read->senders[$key], $message->periodMs === 0 && $read->usualPeriodMs > 0 ? self::changed($message, periodMs: $read->usualPeriodMs) : $message);
        }

        return new Description($described, $read->leftOut);
    }

    /**
     * Line by line; a text in quotes may go on over several.
     *
     * @return iterable<array{int, string}>
     */
    private static function statements(string $text): iterable
    {
        $open = [];
        $from = $length = 0;
        $isQuoted = false;
        foreach (explode("\n", strtr($text, ["\r\n" => "\n", "\r" => "\n"])) as $number => $line) {
            $from = $open === [] ? $number + 1 : $from;
            $length = $open === [] ? strlen($line) : $length + strlen($line);
            $open[] = $line;
            $isQuoted = $isQuoted !== (substr_count(str_replace('\\"', '', $line), '"') % 2 === 1);
            if ($isQuoted && $length <= self::STATEMENT_LONGEST) {
                continue;
            }
            if ($isQuoted) {
                break;
            }
            yield [$from, trim(implode("\n", $open))];
            $open = [];
        }
        if ($open !== []) {
            throw RecordingRefused::description($from, 'a text in quotes does not end');
        }
    }

    private function take(int $number, string $statement): void
    {
        match (true) {
            str_starts_with($statement, 'BO_ ') => $this->message($number, $statement),
            str_starts_with($statement, 'SG_ ') => $this->signal($number, $statement),
            str_starts_with($statement, 'VAL_ ') => $this->names($statement),
            str_starts_with($statement, 'SIG_VALTYPE_ ') => $this->floating($statement),
            str_starts_with($statement, 'BA_ "GenMsgCycleTime" BO_ '), str_starts_with($statement, 'BA_DEF_DEF_ "GenMsgCycleTime"') => $this->period($statement),
            default => null,
        };
    }

    private function message(int $number, string $statement): void
    {
        if (preg_match('/^BO_\s+(\d{1,10})\s+(\w{1,128})\s*:\s*(\d{1,4})\s+(\w+)/u', $statement, $found) !== 1) {
            throw RecordingRefused::description($number, 'this message cannot be read');
        }
        $key = (int) $found[1];
        $this->current = null;
        if ($key === self::NO_MESSAGE) {
            return;
        }
        $extended = ($key & self::EXTENDED) !== 0;
        $id = $key & ~self::EXTENDED;
        if ($id > ($extended ? CanFrame::EXTENDED_MOST : CanFrame::STANDARD_MOST)) {
            throw RecordingRefused::description($number, "no identifier is {$found[1]}");
        }
        if ((int) $found[3] > CanFrame::BYTES_MOST) {
            $this->leftOut[] = "{$found[2]} has {$found[3]} bytes: that is no frame of a classic bus.";

            return;
        }
        if (isset($this->messages[$key])) {
            throw RecordingRefused::description($number, "two messages have the identifier {$found[1]}");
        }
        $this->current = $key;
        $this->messages[$key] = new BusMessage('', '', mb_substr($found[2], 0, 80), $id, $extended, (int) $found[3]);
        $this->senders[$key] = str_ends_with($found[4], self::NOBODY) ? '' : $found[4];
    }

    private function signal(int $number, string $statement): void
    {
        $message = $this->current === null ? null : $this->messages[$this->current];
        if ($message === null) {
            return;
        }
        $pattern = '/^SG_\s+(\w{1,128})\s*(M|m\d+M?)?\s*:\s*(\d{1,3})\s*\|\s*(\d{1,3})\s*@\s*([01])\s*([+-])\s*\(\s*([-+.\deE]{1,40})\s*,\s*([-+.\deE]{1,40})\s*\)\s*\[[^\]]{0,100}\]\s*"([^"]{0,200})"/u';
        if (preg_match($pattern, $statement, $found) !== 1 || ! is_numeric($found[7]) || ! is_numeric($found[8])) {
            throw RecordingRefused::description($number, 'this signal cannot be read');
        }
        if (str_starts_with($found[2], 'm')) {
            $this->leftOut[] = "{$found[1]} of {$message->name} is there only under some figure of another.";

            return;
        }
        [$start, $bits, $scale, $offset] = [(int) $found[3], (int) $found[4], (float) $found[7], (float) $found[8]];
        if ($start > 63 || $bits < 1 || $bits > 64 || abs($scale) > 1e9 || abs($offset) > 1e9 || ! is_finite($scale) || ! is_finite($offset)) {
            $this->leftOut[] = "{$found[1]} of {$message->name} is nothing that eight bytes hold.";

            return;
        }
        if (count($message->signals) === BusSignal::MOST) {
            $this->leftOut[] = "{$found[1]} of {$message->name}: it has ".BusSignal::MOST.' signals already.';

            return;
        }
        $name = $this->unused(mb_substr($found[1], 0, BusSignal::NAME_LONGEST), $message);
        $this->put(self::changed($message, signals: [...$message->signals, new BusSignal($name, $start, $bits, $found[5] === '0', $found[6] === '-', $scale, $offset, mb_substr($found[9], 0, 12))]));
    }

    /** Two that are cut to one name are told apart. */
    private function unused(string $name, BusMessage $message): string
    {
        $free = $name;
        for ($again = 2; self::signalOf($message, $free) !== null; $again++) {
            $free = mb_substr($name, 0, BusSignal::NAME_LONGEST - 1 - strlen((string) $again))."_{$again}";
        }

        return $free;
    }

    private function names(string $statement): void
    {
        if (preg_match('/^VAL_\s+(\d{1,10})\s+(\w{1,128})\s+(.*);\s*$/su', $statement, $found) !== 1) {
            return;
        }
        $message = $this->messages[(int) $found[1]] ?? null;
        $signal = self::signalOf($message, mb_substr($found[2], 0, BusSignal::NAME_LONGEST));
        if ($message === null || $signal === null) {
            return;
        }
        preg_match_all('/(-?\d{1,18})\s+"((?:[^"\\\\]|\\\\.){0,200})"/u', $found[3], $pairs, PREG_SET_ORDER);
        $names = '';
        foreach ($pairs as [, $figure, $word]) {
            // A comma parts them, and a field holds so much.
            $one = "{$figure}=".trim(strtr($word, [',' => ';', '=' => ':', "\n" => ' ']));
            if (mb_strlen($names) + mb_strlen($one) + 2 <= 400) {
                $names .= ($names === '' ? '' : ', ').$one;
            }
        }
        $this->put(self::changed($message, signals: array_map(static fn (BusSignal $one): BusSignal => $one->name === $signal->name ? BusSignal::from(new Values([...$one->values(), 'names' => $names])) : $one, $message->signals)));
    }

    private function floating(string $statement): void
    {
        if (preg_match('/^SIG_VALTYPE_\s+(\d{1,10})\s+(\w{1,128})\s*:\s*([123])\s*;/u', $statement, $found) !== 1) {
            return;
        }
        $message = $this->messages[(int) $found[1]] ?? null;
        $signal = self::signalOf($message, mb_substr($found[2], 0, BusSignal::NAME_LONGEST));
        if ($message !== null && $signal !== null) {
            $this->leftOut[] = "{$found[2]} of {$message->name} is a floating-point number.";
            $this->put(self::changed($message, signals: array_values(array_filter($message->signals, static fn (BusSignal $one): bool => $one->name !== $signal->name))));
        }
    }

    private function period(string $statement): void
    {
        if (preg_match('/^BA_DEF_DEF_\s+"GenMsgCycleTime"\s+(\d{1,9})(?:\.\d*)?\s*;/', $statement, $found) === 1) {
            $this->usualPeriodMs = min(3_600_000, (int) $found[1]);
        } elseif (preg_match('/^BA_\s+"GenMsgCycleTime"\s+BO_\s+(\d{1,10})\s+(\d{1,9})(?:\.\d*)?\s*;/', $statement, $found) === 1 && isset($this->messages[(int) $found[1]])) {
            $this->put(self::changed($this->messages[(int) $found[1]], periodMs: min(3_600_000, (int) $found[2])));
        }
    }

    private static function signalOf(?BusMessage $message, string $name): ?BusSignal
    {
        foreach ($message->signals ?? [] as $signal) {
            if ($signal->name === $name) {
                return $signal;
            }
        }

        return null;
    }

    private function put(BusMessage $message): void
    {
        $this->messages[$message->identifier | ($message->extended ? self::EXTENDED : 0)] = $message;
    }

    /** @param  list<BusSignal>|null  $signals */
    private static function changed(BusMessage $message, ?array $signals = null, ?int $periodMs = null): BusMessage
    {
        return new BusMessage('', '', $message->name, $message->identifier, $message->extended, $message->bytes, $periodMs ?? $message->periodMs, $signals ?? $message->signals);
    }
}
