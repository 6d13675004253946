<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Behaviour\Message;

/** A board of ours that obeys a universe: what stands in its slots becomes messages, when it changes; what holds is said again by and by. The same in C stands in {@see CListener}. */
final class Listener
{
    /** Less than the second after which data counts as lost. */
    public const AGAIN_MS = 250;

    /** @var array<int, int> what stood in each, by place */
    private array $was = [];

    /** @var array<int, int> when that was said */
    private array $saidMs = [];

    public function __construct(private readonly ListenerTables $tables, private readonly int $link)
    {
    }

    /**
     * A packet that came.
     *
     * @param  string  $slots  without the start code; it may be short
     * @return list<Message>
     */
    public function take(string $slots, int $nowMs): array
    {
        $heard = [];
        foreach ($this->tables->slots as $place => $slot) {
            if ($slot->at >= strlen($slots)) {
                continue;
            }
            $value = ord($slots[$slot->at]);
            $again = $slot->holds() && (($nowMs - ($this->saidMs[$place] ?? 0)) & 0xFFFF_FFFF) >= self::AGAIN_MS;
            if (isset($this->was[$place]) && $this->was[$place] === $value && ! $again) {
                continue;
            }
            $this->was[$place] = $value;
            $this->saidMs[$place] = $nowMs & 0xFFFF_FFFF;
            $means = $slot->means($value);
            if ($means !== null) {
                $heard[] = new Message($this->link, 0, $means['code'], $means['value']);
            }
        }

        return $heard;
    }
}
