<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

/** Lines: whatever stands before an ending. */
final class LineReceived implements Received
{
    private string $kept = '';

    private bool $whole = false;

    public function __construct(private readonly string $ending, private readonly int $most)
    {
    }

    public function push(int $byte): void
    {
        if ($this->whole) {
            $this->clear();
        }
        // Of \r\n the one may end a line and the other begin the next.
        if ($this->kept === '' && ($byte === 0x0A || $byte === 0x0D)) {
            return;
        }
        // Too long to be any of ours: its end is waited for, and then it fits nothing.
        $this->kept = substr($this->kept.chr($byte), -($this->most + strlen($this->ending) + 1));
        $this->whole = $this->ending !== '' && str_ends_with($this->kept, $this->ending);
    }

    public function frame(int $length): ?string
    {
        return $this->whole ? substr($this->kept, 0, strlen($this->kept) - strlen($this->ending)) : null;
    }

    public function clear(): void
    {
        $this->kept = '';
        $this->whole = false;
    }
}
