<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

/** How a press is put on the air. */
enum KeyedCoding: string
{
    /** A bought pair: one receiver pin for each of up to four buttons. What is on the air is the maker's own business. */
    case Pair = 'pair';

    /** Twelve digits of three values each, of which switches set eight or ten. */
    case Trits = 'trit12';

    /** Twenty-four bits, burnt in at the factory or sent by our own transmitter. */
    case Bits = 'bits24';

    public function words(): string
    {
        return match ($this) {
            self::Pair => 'four-function pair',
            self::Trits => '12 trits',
            self::Bits => '24 bits',
        };
    }
}
