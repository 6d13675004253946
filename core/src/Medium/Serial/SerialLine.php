<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Plan\Deliberate;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;

/** A serial link with its ends in order, and who asks. */
final readonly class SerialLine
{
    /** @param  list<Endpoint>  $ends  in the order in which they stand on the cable */
    private function __construct(public SerialSettings $settings, public array $ends)
    {
    }

    public static function of(Plan $plan, Link $link): self
    {
        return new self(SerialSettings::of($link), $plan->endpointsOn($link));
    }

    /** @return list<Endpoint> those that say that they ask */
    public function askers(): array
    {
        return array_values(array_filter($this->ends, static fn (Endpoint $end): bool => SerialEnd::of($end)->asks));
    }

    /** @return Endpoint|null null while none asks, or several do, or nobody is asked */
    public function asker(): ?Endpoint
    {
        $askers = $this->settings->topology === Topology::Polled ? $this->askers() : [];

        return count($askers) === 1 ? $askers[0] : null;
    }

    /** Whether an end hears what goes to everybody: of two each is told alone, and who asks hears what the boxes have for it. */
    public function isToldTogether(Endpoint $end): bool
    {
        return $end->means(Deliberate::Broadcast) && $this->settings->topology !== Topology::Pair && $end->id !== $this->asker()?->id;
    }

    /** Its nodes have ids, each its own, and somebody asks where one must: programs can be written for it. */
    public function isComplete(): bool
    {
        $ids = array_map(static fn (Endpoint $end): ?int => SerialEnd::of($end)->station, $this->ends);

        return count($ids) > 1 && ! in_array(null, $ids, true) && count(array_unique($ids)) === count($ids) && ($this->settings->topology !== Topology::Polled || $this->asker() !== null);
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
        return 2 * $this->settings->frameNs() + ($this->settings->turnMs + $this->settings->gapMs) * 1_000_000;
    }

    /** A question that nobody answers, and the rest after it. */
    public function missedNs(): int
    {
        return $this->settings->frameNs() + ($this->timeoutMs() + $this->settings->gapMs) * 1_000_000;
    }

    /** Until the same box is asked again, where all answer. */
    public function cycleNs(): int
    {
        return count($this->boxes()) * $this->exchangeNs();
    }

    /** Around a ring, handed on by all. */
    public function roundNs(): int
    {
        return count($this->ends) * ($this->settings->frameNs() + $this->settings->turnMs * 1_000_000);
    }

    /** @return int the least time after which an answer can be missed: until it is there, and half as long again for a program that was busy */
    public function leastTimeoutMs(): int
    {
        $answerNs = $this->settings->topology === Topology::Ring ? $this->roundNs() : $this->settings->frameNs() + $this->settings->turnMs * 1_000_000;

        return (int) ceil(1.5 * $answerNs / 1e6);
    }

    /** @return int from the first byte of a question on, as programs count: how long the frame is on the line, and how long its answer is waited for */
    public function programTimeoutMs(): int
    {
        return $this->frameMs() + $this->timeoutMs();
    }

    public function frameMs(): int
    {
        return (int) ceil($this->settings->frameNs() / 1e6);
    }

    public function timeoutMs(): int
    {
        return $this->settings->timeoutMs ?? $this->leastTimeoutMs();
    }
}
