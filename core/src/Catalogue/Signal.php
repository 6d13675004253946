<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

/** What a terminal wants to hear that a plain high or low is not: it costs the board a timer, or time. */
enum Signal: string
{
    /** A share of the time, some hundred times a second or a thousand: brightness, speed. */
    case Pwm = 'pwm';

    /** A pulse of 1000 to 2000 µs every 20 ms. */
    case Servo = 'servo';

    /** A square wave that is heard. */
    case Tone = 'tone';

    /** The carrier of an infrared remote. */
    case Carrier = 'carrier';

    /** Bits of an addressable strip, too fast for anything else to happen meanwhile. */
    case Pixels = 'pixels';

    /** Marks and spaces of a remote or a fob, whose lengths the program measures as they come. */
    case Marks = 'marks';

    public function words(): string
    {
        return match ($this) {
            self::Pwm => 'PWM',
            self::Servo => 'servo pulses',
            self::Tone => 'tones',
            self::Carrier => 'infrared carrier',
            self::Pixels => 'bits of a strip',
            self::Marks => 'marks and spaces',
        };
    }
}
