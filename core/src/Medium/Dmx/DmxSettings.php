<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Plan\Link;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** A universe's settings, with their types. */
final readonly class DmxSettings
{
    private function __construct(
        public bool $isNetwork,
        public ?int $universe,
        public int $breakUs,
        public int $markUs,
        public ?int $slots,
        public ?float $lengthM,
    ) {
    }

    public static function of(Link $link): self
    {
        $values = new Values($link->settings);

        return new self(
            $values->text('form') === 'network',
            $values->wholeOrNull('universe'),
            $values->whole('breakUs'),
            $values->whole('markUs'),
            $values->wholeOrNull('slots'),
            $values->numberOrNull('lengthM'),
        );
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::oneOf('form', ['wire', 'network'], 'Whether it goes over a twisted pair (ANSI E1.11) or as packets over the network (ANSI E1.31).', 'wire')->titled('Goes by')->named(['wire', 'network']),
            Field::whole('universe', 1, Multicast::MOST_UNIVERSE, 'By network: its number.')->nullable()->titled('Universe')->assigned()->seldom(),
            Field::number('lengthM', 0, 5_000, 'By wire: from the sender to the last, of its longest segment.', null, 'm')->nullable()->titled('Length'),
            Field::whole('slots', 1, DmxFrame::MOST_SLOTS, 'How many slots are sent; as many as somebody listens to when left out.')->nullable()->titled('Slots sent')->seldom(),
            Field::whole('breakUs', 1, DmxFrame::MOST_MARK_US, 'By wire: how long the break is that begins each packet.', 120, 'µs')->titled('Break')->seldom(),
            Field::whole('markUs', 1, DmxFrame::MOST_MARK_US, 'By wire: how long the mark behind it is.', 16, 'µs')->titled('Mark')->seldom(),
        );
    }
}
