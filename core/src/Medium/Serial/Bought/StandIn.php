<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Random\Randomizer;
use Rundfunk\Plan\KnownDone;
use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolItem;
use Rundfunk\Plan\ProtocolItemKind;
use Rundfunk\Rehearsal\Event;
use Rundfunk\Rehearsal\EventKind;
use Rundfunk\Rehearsal\Scheduled;
use Rundfunk\Rehearsal\StandsIn;

/** A device of that protocol, for the bench: it does what it is told, takes its time, answers. */
final class StandIn implements StandsIn
{
    private const MS = 1_000_000;

    private readonly Received $received;

    private readonly Form $form;

    /** @var array<string, int> by function, the number that it was told last */
    public array $told = [];

    /** @var array<string, int> by reading, the number that it gives */
    public array $reads = [];

    /** @var list<array{int, string, int}> at which nanosecond, which function, with which number */
    public array $done = [];

    private ?ProtocolItem $moving = null;

    private int $untilNs = 0;

    private bool $isDead = false;

    public function __construct(private readonly Protocol $protocol, private readonly int $id, private readonly Randomizer $chance, private readonly int $turnMs = 2)
    {
        $this->form = Forms::of($protocol);
        $most = 1;
        foreach ($protocol->items as $item) {
            $most = max($most, $this->form->keptBytes(Saying::sent($item)));
        }
        $this->received = Forms::received($protocol, $most);
    }

    public function die(): void
    {
        $this->isDead = true;
    }

    public function react(int $atNs, Event $event): array
    {
        $sends = [];
        foreach ($event->kind !== EventKind::Bytes || $event->bytes === '' || $this->isDead ? [] : str_split($event->bytes) as $byte) {
            $this->received->push(ord($byte));
            foreach ($this->protocol->items as $item) {
                $heard = $item->kind === ProtocolItemKind::Says ? null : $this->form->decode(Saying::sent($item), $this->id, $this->received);
                if ($heard !== null) {
                    $this->received->clear();
                    $sends = [...$sends, ...$this->obey($item, (int) $heard->wire, $atNs)];
                    break;
                }
            }
        }

        return $sends;
    }

    /** @return string what it says unasked */
    public function says(string $item, int $wire): string
    {
        $said = $this->protocol->item($item);

        return $said === null ? '' : $this->form->encode(Saying::sent($said), $this->id, $wire);
    }

    /** @return list<Scheduled> */
    private function obey(ProtocolItem $item, int $wire, int $atNs): array
    {
        // It takes no longer than it may.
        $turnedNs = $atNs + $this->chance->getInt(intdiv(self::MS, 2), max(1, $this->turnMs) * self::MS - 1);
        if ($item->kind === ProtocolItemKind::Answers) {
            return [$this->answering($turnedNs, $item, $this->reading($item, $atNs))];
        }
        $this->told[$item->name] = $wire;
        $this->done[] = [$atNs, $item->name, $wire];
        $this->moving = $item->takesTime() ? $item : null;
        $this->untilNs = $atNs + intdiv($item->takesMs * self::MS, 2);
        if ($item->takesTime() && $item->done === KnownDone::Answered) {
            return [$this->answering($this->untilNs, $item, $wire)];
        }

        return $item->isAnswered() ? [$this->answering($turnedNs, $item, $wire)] : [];
    }

    private function answering(int $atNs, ProtocolItem $item, int $wire): Scheduled
    {
        return new Scheduled($atNs, Event::bytes($this->form->encode(Saying::answer($item), $this->id, $wire)));
    }

    private function reading(ProtocolItem $item, int $atNs): int
    {
        if ($this->moving?->done === KnownDone::Polled && $this->moving->doneBy === $item->name) {
            return $atNs >= $this->untilNs ? $this->moving->doneIs : $this->moving->doneIs + 1;
        }

        return $this->reads[$item->name] ?? 0;
    }
}
