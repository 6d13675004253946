<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Plan\ProtocolPartKind;
use Rundfunk\Plan\ProtocolValue;

/** One field of one packet: what stands there, how wide, what it holds. */
final readonly class PacketField
{
    /**
     * @param  int  $value  what it holds where nothing is given
     * @param  bool  $given  the plan's figure stands there
     * @param  bool  $any  it may hold whatever it likes
     */
    public function __construct(public ProtocolPartKind $is, public int $bits, public int $value, public bool $given = false, public bool $any = false, public ?ProtocolValue $of = null)
    {
    }

    public static function ofValue(ProtocolValue $value, bool $isAnswer): self
    {
        return new self(ProtocolPartKind::Values, $value->bits, Figure::number($value->fixed), $value->given, ! $value->given && $isAnswer && $value->fixed === '', $value);
    }
}
