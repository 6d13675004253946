<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Line;

use Rundfunk\Medium\Serial\SerialFrame;
use Rundfunk\Medium\Serial\SerialSettings;

/** Finds frames in what comes byte by byte: from a start byte on, as many as a frame has, whose check agrees; otherwise from the next start byte on. */
final class FrameStream
{
    private string $got = '';

    private readonly int $length;

    public function __construct(private readonly SerialSettings $settings)
    {
        $this->length = SerialFrame::layout($settings)->lengthBytes;
    }

    /** @return SerialFrame|null the frame that ends with it */
    public function byte(int $byte): ?SerialFrame
    {
        $this->got .= chr($byte);
        $frame = strlen($this->got) < $this->length ? null : SerialFrame::read($this->got, $this->settings);
        if ($frame !== null) {
            $this->got = '';

            return $frame;
        }
        if ($this->got[0] !== chr(SerialFrame::START) || strlen($this->got) === $this->length) {
            $next = strpos($this->got, chr(SerialFrame::START), 1);
            $this->got = $next === false ? '' : substr($this->got, $next);
        }

        return null;
    }
}
