<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Medium\Serial\Bought\Lengths;
use Rundfunk\Plan\Deliberate;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Protocol;

/** A serial link with its ends in order, and who asks. */
final readonly class SerialLine
{
    /**
     * @param  list<Endpoint>  $ends  in the order in which they stand on the cable
     * @param  list<Endpoint>  $bought  those of devices that speak as their makers made them
     * @param  array<string, Protocol>  $protocols  what they speak, by end, where that is known
     */
    private function __construct(public SerialSettings $settings, public array $ends, public array $bought, public array $protocols, public Lengths $lengths)
    {
    }

    public static function of(Plan $plan, Link $link): self
    {
        $settings = SerialSettings::of($link);
        $ends = $plan->endpointsOn($link);
        $bought = $protocols = [];
        foreach ($ends as $end) {
            $node = $plan->node($end->nodeId);
            if ($node->kind->isBought()) {
                $bought[] = $end;
                if ($node->speaks() !== null) {
                    $protocols[$end->id] = $plan->protocol($node->speaks());
                }
            }
        }

        return new self($settings, $ends, $bought, $protocols, $bought === [] ? Lengths::ours($settings) : Lengths::of($protocols));
    }

    /** It is in the words of devices that were bought, not in frames of ours. */
    public function isBought(): bool
    {
        return $this->bought !== [];
    }

    /** @return list<Protocol> what is spoken on it, each once */
    public function spoken(): array
    {
        $byId = [];
        foreach ($this->protocols as $protocol) {
            $byId[$protocol->id] = $protocol;
        }

        return array_values($byId);
    }

    /** @return list<Endpoint> those of boards of ours */
    public function own(): array
    {
        return array_values(array_filter($this->ends, fn (Endpoint $end): bool => ! in_array($end, $this->bought, true)));
    }

    /** @return list<Endpoint> those that say that they ask; what was bought never does */
    public function askers(): array
    {
        return $this->isBought() ? $this->own() : array_values(array_filter($this->ends, static fn (Endpoint $end): bool => SerialEnd::of($end)->asks));
    }

    /** @return Endpoint|null null while none asks, or several do, or nobody is asked */
    public function asker(): ?Endpoint
    {
        $askers = $this->isBought() || $this->settings->topology === Topology::Polled ? $this->askers() : [];

        return count($askers) === 1 ? $askers[0] : null;
    }

    /** Whether an end hears what goes to everybody: of two each is told alone, and who asks hears what the boxes have for it. */
    public function isToldTogether(Endpoint $end): bool
    {
        return $end->means(Deliberate::Broadcast) && ! $this->isBought() && $this->settings->topology !== Topology::Pair && $end->id !== $this->asker()?->id;
    }

    /** Its nodes have ids, each its own, and somebody asks where one must: programs can be written for it. */
    public function isComplete(): bool
    {
        if ($this->isBought()) {
            return count($this->own()) === 1 && count($this->protocols) === count($this->bought) && $this->areToldApart();
        }
        $ids = array_map(static fn (Endpoint $end): ?int => SerialEnd::of($end)->station, $this->ends);

        return count($ids) > 1 && ! in_array(null, $ids, true) && count(array_unique($ids)) === count($ids) && ($this->settings->topology !== Topology::Polled || $this->asker() !== null);
    }

    /** Each has an id of its own, or there is but one and it needs none. */
    private function areToldApart(): bool
    {
        $ids = array_map(fn (Endpoint $end): ?int => $this->protocols[$end->id]->hasIds() ? SerialEnd::of($end)->station : 0, $this->bought);

        return ! in_array(null, $ids, true) && count(array_unique($ids)) === count($ids);
    }

    /** Frames on it say by an id whom an end is meant by: ours do, and those of bought devices that have ids. */
    public function hasId(Endpoint $end): bool
    {
        return ! $this->isBought() || ($this->protocols[$end->id] ?? null)?->hasIds() === true;
    }

    /** @return int the highest id that an end can be given */
    public function highestId(Endpoint $end): int
    {
        return min(SerialEnd::of($end)->highestId(), ($this->protocols[$end->id] ?? null)?->highestId() ?? SerialEnd::HIGHEST);
    }

    /** @return list<Endpoint> those that are asked */
    public function boxes(): array
    {
        $asker = $this->asker();

        return $this->settings->topology === Topology::Polled ? array_values(array_filter($this->ends, static fn (Endpoint $end): bool => $end->id !== $asker?->id)) : [];
    }

    /** @return int from node to node around a ring */
    public function hopsBetween(string $fromId, string $toId): int
    {
        $ids = array_map(static fn (Endpoint $end): string => $end->id, $this->ends);
        $count = max(1, count($ids));
        $steps = ((int) array_search($toId, $ids, true) - (int) array_search($fromId, $ids, true) + $count) % $count;

        return $steps === 0 ? $count : $steps;
    }

    /** A question, its answer and the rest after it, where nothing is missed. */
    public function exchangeNs(): int
    {
        return $this->questionNs() + $this->answerNs() + ($this->settings->turnMs + $this->settings->gapMs) * 1_000_000;
    }

    /** A question that nobody answers, and the rest after it. */
    public function missedNs(): int
    {
        return $this->questionNs() + ($this->timeoutMs() + $this->settings->gapMs) * 1_000_000;
    }

    /** Until the same box is asked again, where all answer. */
    public function cycleNs(): int
    {
        return count($this->boxes()) * $this->exchangeNs();
    }

    /** Around a ring, handed on by all. */
    public function roundNs(): int
    {
        return count($this->ends) * ($this->questionNs() + $this->settings->turnMs * 1_000_000);
    }

    /** @return int the least time after which an answer can be missed: until it is there, and half as long again for a program that was busy */
    public function leastTimeoutMs(): int
    {
        $answerNs = $this->settings->topology === Topology::Ring ? $this->roundNs() : $this->answerNs() + $this->settings->turnMs * 1_000_000;

        return (int) ceil(1.5 * $answerNs / 1e6);
    }

    /** @return int from the first byte of a question on, as programs count: how long the frame is on the line, and how long its answer is waited for */
    public function programTimeoutMs(): int
    {
        return $this->frameMs() + $this->timeoutMs();
    }

    /** @return int how long a box may be asked nothing until nobody asks any more: so many rounds at their worst as it may miss, and as many again, for what is told to others goes before */
    public function silentMs(): int
    {
        return (int) ceil(2 * $this->settings->missedMost * count($this->boxes()) * max($this->exchangeNs(), $this->missedNs()) / 1e6);
    }

    public function frameMs(): int
    {
        return (int) ceil($this->questionNs() / 1e6);
    }

    /** @return int a frame of so many bytes on the line, rounded up */
    public function bytesMs(int $bytes): int
    {
        return (int) ceil($this->settings->line()->ns($bytes) / 1e6);
    }

    /** The longest that is told or asked. */
    public function questionNs(): int
    {
        return $this->settings->line()->ns($this->lengths->question);
    }

    /** The longest that is answered. */
    public function answerNs(): int
    {
        return $this->settings->line()->ns($this->lengths->answer);
    }

    public function timeoutMs(): int
    {
        return $this->settings->timeoutMs ?? $this->leastTimeoutMs();
    }
}
