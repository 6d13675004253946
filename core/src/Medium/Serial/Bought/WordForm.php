<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolValue;

/** Words and figures in ASCII. */
final readonly class WordForm implements Form
{
    /** Digits that a number takes at most, with its sign and its point. */
    public const MOST_DIGITS = 12;

    public function __construct(private Protocol $protocol)
    {
    }

    public function encode(Saying $saying, int $id, int $wire): string
    {
        $text = $this->head($saying, $id);
        foreach ($saying->values as $index => $value) {
            $text .= $this->before($index).match (true) {
                ! $value->given => Escaped::bytes($value->fixed),
                $value->isSwitch() => Escaped::bytes($wire === 0 ? $value->off : $value->on),
                default => self::digits($wire, $value->decimals),
            };
        }

        return $text.$this->tail($text);
    }

    public function decode(Saying $saying, int $id, Received $received): ?Heard
    {
        $line = $received->frame(0);
        $rest = $line === null ? null : $this->unsealed($line);
        $rest = $rest === null ? null : self::after($rest, $this->head($saying, $id));
        $wire = null;
        foreach ($saying->values as $index => $value) {
            $rest = $rest === null ? null : self::after($rest, $this->before($index));
            if ($rest === null) {
                return null;
            }
            if (! $value->given) {
                $rest = $saying->isAnswer && $value->fixed === '' ? self::pastAny($rest, $this->before($index + 1)) : self::after($rest, Escaped::bytes($value->fixed));
            } elseif ($value->isSwitch()) {
                [$wire, $rest] = self::switched($value, $rest);
            } else {
                [$wire, $rest] = self::number($rest, $value->decimals);
            }
        }

        return $rest === '' ? new Heard($wire) : null;
    }

    public function leastBytes(Saying $saying): int
    {
        return $this->bytes($saying, 1, static fn (ProtocolValue $value): int => $value->given && $value->isSwitch() ? min(strlen(Escaped::bytes($value->on)), strlen(Escaped::bytes($value->off))) : ($value->given ? 1 + ($value->decimals > 0 ? $value->decimals + 1 : 0) : 0)) + strlen($this->ending());
    }

    public function mostBytes(Saying $saying): int
    {
        return $this->keptBytes($saying) + strlen($this->ending());
    }

    /** An answer's values that may be anything are taken to be as long as a number. */
    public function keptBytes(Saying $saying): int
    {
        // An id has no more than three digits.
        return $this->bytes($saying, 247, static fn (ProtocolValue $value): int => $value->given && $value->isSwitch() ? max(strlen(Escaped::bytes($value->on)), strlen(Escaped::bytes($value->off))) : self::MOST_DIGITS);
    }

    /** @param  callable(ProtocolValue): int  $length  of what is not always the same */
    private function bytes(Saying $saying, int $id, callable $length): int
    {
        $bytes = strlen($this->head($saying, $id)) + 2 * $this->protocol->check->bytes();
        foreach ($saying->values as $index => $value) {
            $bytes += strlen($this->before($index)) + (! $value->given && $value->fixed !== '' ? strlen(Escaped::bytes($value->fixed)) : $length($value));
        }

        return $bytes;
    }

    public function head(Saying $saying, int $id): string
    {
        return ($saying->isAnswer && $this->protocol->bare ? '' : $this->lead().match ($this->protocol->idAs) {
            'number' => (string) $id,
            'letter' => chr(64 + max(1, min(26, $id))),
            'hex' => sprintf('%02X', $id),
            default => '',
        }.($this->protocol->idAs === 'none' ? '' : Escaped::bytes($this->protocol->afterId))).Escaped::bytes($saying->word);
    }

    public function lead(): string
    {
        return Escaped::bytes($this->protocol->lead);
    }

    public function ending(): string
    {
        return Escaped::bytes($this->protocol->ending);
    }

    /** What stands before a value: behind the word, or behind another value. */
    public function before(int $index): string
    {
        return Escaped::bytes($index === 0 ? $this->protocol->between : $this->protocol->separator);
    }

    /** @return string "-12.5" */
    public static function digits(int $wire, int $decimals): string
    {
        $digits = str_pad((string) abs($wire), $decimals + 1, '0', STR_PAD_LEFT);

        return ($wire < 0 ? '-' : '').($decimals === 0 ? $digits : substr($digits, 0, -$decimals).'.'.substr($digits, -$decimals));
    }

    /** @return array{int|null, string|null} the number at its beginning, and what is left of it; nothing where there is none */
    private static function number(string $text, int $decimals): array
    {
        if (preg_match('/^[+-]?\d{1,9}(?:\.(\d*))?/', $text, $match) !== 1) {
            return [null, null];
        }
        $whole = (int) $match[0];
        $behind = substr(str_pad($match[1] ?? '', $decimals, '0'), 0, $decimals);
        $power = 10 ** $decimals;
        $size = min(2_000_000_000, abs($whole) * $power + (int) $behind);

        return [$match[0][0] === '-' ? -$size : $size, substr($text, strlen($match[0]))];
    }

    /** @return array{int|null, string|null} */
    private static function switched(ProtocolValue $value, string $text): array
    {
        $on = Escaped::bytes($value->on);
        $off = Escaped::bytes($value->off);
        // The longer first: ON begins ONCE.
        foreach (strlen($off) > strlen($on) ? [[0, $off], [1, $on]] : [[1, $on], [0, $off]] as [$is, $word]) {
            if (str_starts_with($text, $word)) {
                return [$is, substr($text, strlen($word))];
            }
        }

        return [null, null];
    }

    private static function after(string $text, string $start): ?string
    {
        return str_starts_with($text, $start) ? substr($text, strlen($start)) : null;
    }

    private static function pastAny(string $text, string $until): string
    {
        $at = $until === '' ? false : strpos($text, $until);

        return $at === false ? '' : substr($text, $at);
    }

    private function tail(string $text): string
    {
        $check = $this->protocol->check;

        return ($check->bytes() === 0 ? '' : sprintf('%0'.(2 * $check->bytes()).'X', $check->of(substr($text, $this->protocol->checkFrom)))).$this->ending();
    }

    private function unsealed(string $line): ?string
    {
        $check = $this->protocol->check;
        $digits = 2 * $check->bytes();
        if ($digits === 0) {
            return $line;
        }
        $text = substr($line, 0, max(0, strlen($line) - $digits));

        return strtoupper(substr($line, strlen($text))) === sprintf("%0{$digits}X", $check->of(substr($text, $this->protocol->checkFrom))) ? $text : null;
    }
}
