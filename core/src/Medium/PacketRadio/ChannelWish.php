<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

/** What one packet link wants of its channel. */
final readonly class ChannelWish
{
    /**
     * @param  list<int>  $legal  rising
     * @param  array<int, true>  $clear  of busy Wi-Fi, by channel
     * @param  array<int, true>  $roomy  out of its skirts as well
     * @param  int|null  $now  the channel it has
     */
    public function __construct(public int $spacing, public array $legal, public array $clear, public array $roomy, public ?int $now, public bool $pinned)
    {
    }

    public static function of(PacketSpectrum $spectrum, ?int $now, bool $pinned): self
    {
        return new self(
            $spectrum->rate->spacingChannels(),
            $spectrum->legalChannels(),
            array_fill_keys($spectrum->clearChannels(), true),
            array_fill_keys($spectrum->roomyChannels(), true),
            $now,
            $pinned,
        );
    }

    /**
     * @return list<int> where it may go: the channel it has, those that are clear, and of those that are not so many that any
     *                   number of links finds room apart
     */
    public function candidates(): array
    {
        $candidates = $this->now !== null && in_array($this->now, $this->legal, true) ? [$this->now => true] : [];
        foreach (array_keys($this->roomy + $this->clear) as $channel) {
            $candidates[$channel] = true;
        }
        foreach ($this->legal as $index => $channel) {
            if ($index % PacketRate::WIDEST_SPACING === 0) {
                $candidates[$channel] = true;
            }
        }

        return array_keys($candidates);
    }
}
