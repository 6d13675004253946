<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Calculator;

use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\PacketRadio\PacketAir;
use Rundfunk\Medium\PacketRadio\PacketRate;
use Rundfunk\OutOfRange;

/** The inputs that the packet-radio calculators share. */
final readonly class PacketInputs
{
    /** @return list<Quantity> */
    public static function air(string $payload): array
    {
        return [
            Quantity::choice('rate_kbps', ['250', '1000', '2000'], 'Data rate.', 'kbit/s')->example('250'),
            Quantity::whole('address_bytes', 'bytes', 'Length of addresses, 3 to 5.')->example('5'),
            Quantity::whole($payload, 'bytes', 'Length of what is carried, 0 to 32.')->example('8'),
            Quantity::whole('crc_bytes', 'bytes', 'Length of the check sum, 0 to 2.')->example('2'),
        ];
    }

    public static function read(Inputs $inputs): PacketAir
    {
        $rate = PacketRate::tryFrom($inputs->whole('rate_kbps'))
            ?? throw OutOfRange::because('rate_kbps', 'rate_kbps must be 250, 1000 or 2000.');

        return new PacketAir($rate, $inputs->whole('address_bytes'), $inputs->whole('crc_bytes'));
    }
}
