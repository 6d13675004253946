<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

/**
 * A command of this plan from board to board: to whom, which of its sender's, what, and a figure, the low byte first. Its identifier says who
 * sent it. A frame that was harmed in its last bit is sent twice though it was heard, so that one number twice is one command.
 */
final readonly class OwnFrame
{
    public const BYTES = 5;

    public function __construct(public int $to, public int $sequence, public int $code, public int $value)
    {
    }

    public static function of(string $data): ?self
    {
        if (strlen($data) !== self::BYTES) {
            return null;
        }
        $value = ord($data[3]) | (ord($data[4]) << 8);

        return new self(ord($data[0]), ord($data[1]), ord($data[2]), $value > 32_767 ? $value - 65_536 : $value);
    }

    public function data(): string
    {
        return pack('CCCv', $this->to, $this->sequence, $this->code, $this->value & 0xFFFF);
    }
}
