<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Behaviour\Gauge;
use Rundfunk\Medium\Serial\Line\LineEnd;
use Rundfunk\Medium\Serial\Line\LineMessage;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Plan\KnownDone;
use Rundfunk\Plan\ProtocolItemKind;

/**
 * Who tells bought devices what they are to do, in their own words, and asks them what they read. What there is to tell goes before the
 * readings; what is not answered is told again, and after too many a device is unknown: what waited for it is dropped. A function that
 * takes time is under way until it is known to be done, and the same is not told again meanwhile; another is, for it may be to stop.
 * Messages bear the numbers of ends. The same as {@see CCommanding} in C.
 */
final class Commanding implements LineEnd
{
    private readonly Received $received;

    /** @var list<array{device: int, item: int, wire: int}> the first is told first */
    private array $waiting = [];

    /** @var array{device: int, item: int, wire: int}|null what was sent last and is not settled yet */
    private ?array $current = null;

    private bool $isWaiting = false;

    private int $sinceMs = 0;

    private int $restMs = 0;

    /** For how long an answer is waited for, from the first byte that was sent. */
    private int $waitMs = 0;

    private int $asked = 0;

    private int $tries = 0;

    /** @var array<int, int> by device, how many answers it missed in a row */
    private array $missed;

    /** @var array<int, bool> by device */
    private array $isGone;

    /** @var array<int, array{item: int, wire: int, sinceMs: int}|null> by device, what it is about */
    private array $underWay;

    /** @var array<int, int> by slot, in thousandths */
    private array $values = [];

    /** @var array<int, int|null> by slot, when it was asked for last */
    private array $askedMs = [];

    public function __construct(private readonly Tables $tables, private readonly SerialLine $line)
    {
        $most = 1;
        foreach ($tables->items as $known) {
            foreach ([Saying::sent($known->item), Saying::answer($known->item)] as $saying) {
                $most = max($most, $known->form->keptBytes($saying));
            }
        }
        $this->received = Forms::received($tables->protocol, $most);
        $count = count($tables->devices);
        $this->missed = array_fill(0, $count, 0);
        $this->isGone = array_fill(0, $count, false);
        $this->underWay = array_fill(0, $count, null);
        foreach ($tables->slots as $slot) {
            $this->values[] = $slot->isDone ? 0 : Gauge::FAILED;
            $this->askedMs[] = null;
        }
    }

    /** @return int a reading in thousandths of its unit, 1000 once a function is done and 0 before; {@see Gauge::FAILED} while nobody knows */
    public function value(int $slot): int
    {
        return $this->values[$slot];
    }

    public function tell(LineMessage $message, int $nowMs): bool
    {
        foreach ($this->tables->orders as $order) {
            if ($this->tables->devices[$order->device]->number !== $message->id || $order->code !== $message->code) {
                continue;
            }
            $value = $this->tables->items[$order->item]->item->set();
            $figure = $order->figure ?? $message->argument;
            $wire = match (true) {
                $value === null => 0,
                $value->isSwitch() => $figure === 0 ? 0 : 1,
                default => Figure::wire($value, $figure),
            };
            $under = $this->underWay[$order->device];
            if ($under !== null && $under['item'] === $order->item && $under['wire'] === $wire) {
                return true;
            }
            if (count($this->waiting) >= self::QUEUE_MOST) {
                return false;
            }
            $this->waiting[] = ['device' => $order->device, 'item' => $order->item, 'wire' => $wire];

            return true;
        }

        return true;
    }

    public function byte(int $byte, int $nowMs): ?LineMessage
    {
        $this->received->push($byte);
        if ($this->isWaiting && $this->current !== null) {
            $known = $this->tables->items[$this->current['item']];
            $heard = $known->form->decode(Saying::answer($known->item), $this->tables->devices[$this->current['device']]->id, $this->received);
            if ($heard !== null) {
                $this->answered($this->current, $heard, $nowMs);

                return null;
            }
        }
        foreach ($this->underWay as $device => $under) {
            if ($under !== null && $this->understands($device, $under['item'], KnownDone::Answered)) {
                $this->received->clear();
                $this->missed[$device] = 0;
                $this->finish($device, 1_000);

                return null;
            }
        }

        return $this->unasked();
    }

    public function gone(): ?int
    {
        foreach ($this->isGone as $device => $gone) {
            if ($gone) {
                $this->isGone[$device] = false;

                return $this->tables->devices[$device]->number;
            }
        }

        return null;
    }

    public function step(int $nowMs): string
    {
        $this->watch($nowMs);
        $passed = $nowMs - $this->sinceMs & 0xFFFF_FFFF;
        if ($this->isWaiting) {
            if ($passed < $this->waitMs) {
                return '';
            }
            $this->miss();
            $this->rest($nowMs, $this->line->settings->gapMs);
            $passed = 0;
        }
        if ($passed < $this->restMs) {
            return '';
        }
        $this->current ??= $this->next($nowMs);

        return $this->current === null ? '' : $this->send($this->current, $nowMs);
    }

    /** @param  array{device: int, item: int, wire: int}  $what */
    private function send(array $what, int $nowMs): string
    {
        $known = $this->tables->items[$what['item']];
        $bytes = $known->form->encode(Saying::sent($known->item), $this->tables->devices[$what['device']]->id, $what['wire']);
        $lineMs = $this->line->bytesMs(strlen($bytes));
        $this->received->clear();
        // One that answers when it is done is not waited for here: the line would stand still meanwhile.
        if ($known->item->isAnswered() && ! ($known->item->takesTime() && $known->item->done === KnownDone::Answered)) {
            $this->isWaiting = true;
            $this->sinceMs = $nowMs;
            $this->waitMs = $lineMs + $this->line->timeoutMs();
        } else {
            $this->begin($what, $nowMs);
            $this->current = null;
            $this->rest($nowMs, $lineMs + $this->line->settings->gapMs);
        }

        return $bytes;
    }

    /** @return array{device: int, item: int, wire: int}|null what waits first; otherwise the reading whose turn it is, if it is due */
    private function next(int $nowMs): ?array
    {
        $this->tries = 0;
        if ($this->waiting !== []) {
            return array_shift($this->waiting);
        }
        $count = count($this->tables->slots);
        for ($step = 1; $step <= $count; $step++) {
            $index = ($this->asked + $step) % $count;
            $slot = $this->tables->slots[$index];
            $last = $this->askedMs[$index];
            if ($slot->everyMs > 0 && ($last === null || ($nowMs - $last & 0xFFFF_FFFF) >= $slot->everyMs)) {
                $this->askedMs[$index] = $nowMs;
                $this->asked = $index;

                return ['device' => $slot->device, 'item' => $slot->item, 'wire' => 0];
            }
        }

        return null;
    }

    /** @param  array{device: int, item: int, wire: int}  $what */
    private function answered(array $what, Heard $heard, int $nowMs): void
    {
        $this->received->clear();
        $this->missed[$what['device']] = 0;
        $this->current = null;
        $this->rest($nowMs, $this->line->settings->gapMs);
        if ($this->tables->items[$what['item']]->item->kind === ProtocolItemKind::Does) {
            $this->begin($what, $nowMs);
        } else {
            $this->learn($what['device'], $what['item'], (int) $heard->wire);
        }
    }

    /** @param  array{device: int, item: int, wire: int}  $what */
    private function begin(array $what, int $nowMs): void
    {
        if ($this->tables->items[$what['item']]->item->takesTime()) {
            $this->underWay[$what['device']] = ['item' => $what['item'], 'wire' => $what['wire'], 'sinceMs' => $nowMs];
            $this->say($what['device'], $what['item'], 0);
        } else {
            // Whatever it was about, it was told something else.
            $this->underWay[$what['device']] = null;
        }
    }

    private function learn(int $device, int $item, int $wire): void
    {
        $value = $this->tables->items[$item]->item->read();
        $thousandths = $value === null ? 0 : ($value->isSwitch() ? 1_000 * $wire : Figure::thousandths($value, $wire));
        $this->say($device, $item, $thousandths);
        $under = $this->underWay[$device];
        if ($under !== null && $this->tables->doneBy($under['item']) === $item && $thousandths === 1_000 * $this->tables->items[$under['item']]->item->doneIs) {
            $this->finish($device, 1_000);
        }
    }

    /** What takes time is done after it where that is how it is known; otherwise nobody knows after twice as long. */
    private function watch(int $nowMs): void
    {
        foreach ($this->underWay as $device => $under) {
            if ($under === null) {
                continue;
            }
            $item = $this->tables->items[$under['item']]->item;
            $passed = $nowMs - $under['sinceMs'] & 0xFFFF_FFFF;
            if ($passed >= $item->takesMs && $item->done === KnownDone::Waited) {
                $this->finish($device, 1_000);
            } elseif ($passed >= 2 * $item->takesMs) {
                $this->finish($device, Gauge::FAILED);
            }
        }
    }

    private function finish(int $device, int $as): void
    {
        $under = $this->underWay[$device];
        $this->underWay[$device] = null;
        if ($under !== null) {
            $this->say($device, $under['item'], $as);
        }
    }

    private function say(int $device, int $item, int $thousandths): void
    {
        foreach ($this->tables->slotsOn($device, $item) as $slot) {
            $this->values[$slot] = $thousandths;
        }
    }

    private function unasked(): ?LineMessage
    {
        foreach ($this->tables->slots as $slot) {
            $known = $this->tables->items[$slot->item];
            if ($known->item->kind === ProtocolItemKind::Says) {
                $heard = $known->form->decode(Saying::sent($known->item), $this->tables->devices[$slot->device]->id, $this->received);
                if ($heard !== null) {
                    $this->learn($slot->device, $slot->item, (int) $heard->wire);
                }
            }
        }
        foreach ($this->tables->notices as $notice) {
            $known = $this->tables->items[$notice->item];
            $heard = $known->form->decode(Saying::sent($known->item), $this->tables->devices[$notice->device]->id, $this->received);
            if ($heard !== null) {
                $this->received->clear();
                $figure = $known->item->read() === null ? 1 : intdiv(Figure::thousandths($known->item->read(), (int) $heard->wire), 1_000);

                return new LineMessage($this->tables->devices[$notice->device]->number, $notice->code, max(-32_768, min(32_767, $figure)));
            }
        }

        return null;
    }

    private function understands(int $device, int $item, KnownDone $how): bool
    {
        $known = $this->tables->items[$item];

        return $known->item->done === $how && $known->form->decode(Saying::answer($known->item), $this->tables->devices[$device]->id, $this->received) !== null;
    }

    private function miss(): void
    {
        $what = $this->current;
        if ($what === null) {
            return;
        }
        $device = $what['device'];
        $most = $this->line->settings->missedMost;
        $this->missed[$device] = min(255, $this->missed[$device] + 1);
        $this->tries++;
        // A reading is asked for again when it is due; a command until it is clear that nobody is there.
        if ($this->tries >= $most || $this->tables->items[$what['item']]->item->kind !== ProtocolItemKind::Does) {
            $this->current = null;
        }
        if ($this->missed[$device] >= $most) {
            $this->isGone[$device] = $this->isGone[$device] || $this->missed[$device] === $most;
            $this->current = null;
            $this->underWay[$device] = null;
            $this->waiting = array_values(array_filter($this->waiting, static fn (array $one): bool => $one['device'] !== $device));
            foreach ($this->tables->slots as $index => $slot) {
                if ($slot->device === $device) {
                    $this->values[$index] = Gauge::FAILED;
                }
            }
        }
    }

    private function rest(int $nowMs, int $restMs): void
    {
        $this->isWaiting = false;
        $this->sinceMs = $nowMs;
        $this->restMs = $restMs;
    }
}
