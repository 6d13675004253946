<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Behaviour\Message;

/** A board of ours on a bus: what it makes of frames, and which frames it makes. The same in C stands in {@see CBoard}. */
final class Board
{
    /** @var array<int, array{value: int, atMs: int}> what was read last, by place among the readings */
    private array $values = [];

    /** A frame whose last bit was harmed comes again at once; the same number later is another command, of a board that has started again. */
    public const AGAIN_MS = 100;

    /** @var array<int, array{sequence: int, atMs: int}> the last of each that commands it, by identifier */
    private array $heard = [];

    private int $sequence = 0;

    /** @var array<int, string> its own messages as they stand */
    private array $data = [];

    /** @var array<int, int> when each was sent last */
    private array $sentMs = [];

    /** @var array<int, bool> none of those that nothing was told of yet: they are not sent, for nobody knows what they should say */
    private array $isDue = [];

    public function __construct(private readonly BoardTables $tables, private readonly int $link, int $nowMs = 0)
    {
        foreach ($tables->sends as $message) {
            $this->data[] = str_repeat("\0", $message->of->bytes);
            $this->sentMs[] = $nowMs;
        }
    }

    /**
     * A frame that came.
     *
     * @param  int  $id  as recordings have it
     * @return Message|null what it commands this board
     */
    public function take(int $id, string $data, int $nowMs): ?Message
    {
        foreach ($this->tables->reads as $at => $read) {
            if ($read['message']->key() === $id && strlen($data) >= $read['signal']->bytes()) {
                $this->values[$at] = ['value' => $read['signal']->thousandths($data), 'atMs' => $nowMs & 0xFFFF_FFFF];
            }
        }
        foreach ($this->tables->hears as $hears) {
            $frame = $hears['id'] === $id ? OwnFrame::of($data) : null;
            if ($frame === null || $frame->to !== $this->tables->number) {
                continue;
            }
            $last = $this->heard[$id] ?? null;
            $this->heard[$id] = ['sequence' => $frame->sequence, 'atMs' => $nowMs & 0xFFFF_FFFF];
            if ($last !== null && $last['sequence'] === $frame->sequence && (($nowMs - $last['atMs']) & 0xFFFF_FFFF) < self::AGAIN_MS) {
                continue;
            }

            return new Message($this->link, $hears['node'], $frame->code, $frame->value);
        }

        return null;
    }

    /** @return int|null thousandths; null when nothing was heard for too long, or ever */
    public function value(int $at, int $nowMs): ?int
    {
        $silentMs = $this->tables->reads[$at]['message']->silentMs();
        $value = $this->values[$at] ?? null;

        return $value === null || ($silentMs !== null && (($nowMs - $value['atMs']) & 0xFFFF_FFFF) > $silentMs) ? null : $value['value'];
    }

    /** @return array{int, string}|null the frame that says it to another board of ours; null where that is none, or a bought device is told */
    public function tell(int $node, int $code, int $value): ?array
    {
        foreach ($this->tables->tells as $tells) {
            if ($tells['node'] === $node && $tells['code'] === $code) {
                $at = $tells['message'];
                $this->data[$at] = $tells['signal']->put($this->data[$at], $tells['signal']->rawFor($tells['figure'] ?? $value));
                $this->isDue[$at] = true;

                return null;
            }
        }
        if (! $this->tables->commands || $this->tables->identifier === null) {
            return null;
        }
        $this->sequence = ($this->sequence + 1) & 0xFF;

        return [$this->tables->identifier, (new OwnFrame($node, $this->sequence, $code & 0xFF, $value))->data()];
    }

    /** @return array{int, string}|null a message of its own whose time has come: after a change at once, otherwise once a period */
    public function due(int $nowMs): ?array
    {
        foreach ($this->tables->sends as $at => $message) {
            $since = ($nowMs - $this->sentMs[$at]) & 0xFFFF_FFFF;
            if (isset($this->isDue[$at]) && ($this->isDue[$at] || ($message->of->periodMs > 0 && $since >= $message->of->periodMs))) {
                $this->isDue[$at] = false;
                $this->sentMs[$at] = $nowMs & 0xFFFF_FFFF;

                return [$message->key(), $this->data[$at]];
            }
        }

        return null;
    }
}
