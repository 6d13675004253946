<?php

declare(strict_types=1);

namespace Rundfunk\Edit;

use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\Ties;
use Rundfunk\Shape\Bond;

/** Follows what refers to what from the things that an edit touched, once: see {@see Impact}. */
final class Spread
{
    /** @var array<string, array<string, true>> by kind */
    private array $found = [];

    /** @var list<Thing> found, and not yet gone on from */
    private array $waiting = [];

    public function __construct(private readonly Edited $edited)
    {
    }

    /** @return array<string, array<string, true>> ids by kind */
    public function felt(): array
    {
        foreach ([$this->edited->before, $this->edited->plan] as $plan) {
            foreach ($this->touched($plan) as $thing) {
                $this->startAt($plan, $thing);
            }
        }
        // What referred to a touched thing before and does no more was touched as well, so the plan as it is now will do.
        while (($thing = array_pop($this->waiting)) !== null) {
            foreach (Ties::to($thing::kind()) as $tie) {
                array_map($this->find(...), $this->edited->plan->referring($tie, $thing->id()));
            }
            $this->findShared($this->edited->plan, $thing);
        }
        $this->upwards();

        return $this->found;
    }

    /** @return list<Thing> */
    private function touched(Plan $plan): array
    {
        $things = [];
        foreach ($this->edited->kinds() as $kind) {
            foreach ($this->edited->touched[$kind->value] as $id) {
                $things[] = $plan->find($kind, $id);
            }
        }

        return array_values(array_filter($things));
    }

    /** At a thing, what it is part of, and what those things are part of that it refers to: a key may sit on another node's pad. */
    private function startAt(Plan $plan, Thing $thing): void
    {
        $this->find($thing);
        array_map($this->find(...), self::homes($plan, $thing));
        $this->findShared($plan, $thing);
        foreach (Ties::of($thing::kind()) as $tie) {
            if ($tie->bond === Bond::Mentions || $tie->bond === Bond::Holds) {
                foreach ($tie->ids($thing) as $id) {
                    $other = $plan->find($tie->to, $id);
                    array_map($this->find(...), $other === null ? [] : self::homes($plan, $other));
                }
            }
        }
    }

    /** What is shared is felt from the one who takes of it to all others who do. */
    private function findShared(Plan $plan, Thing $thing): void
    {
        foreach (Ties::of($thing::kind()) as $tie) {
            foreach ($tie->shared ? $tie->ids($thing) : [] as $id) {
                $other = $plan->find($tie->to, $id);
                array_map($this->find(...), $other === null ? [] : [$other]);
            }
        }
    }

    /** @return list<Thing> whose part it is, and whose part that is */
    private static function homes(Plan $plan, Thing $thing): array
    {
        $homes = [];
        while (($tie = Ties::home($thing::kind())) !== null && ($thing = $plan->find($tie->to, $tie->ids($thing)[0] ?? '')) !== null) {
            $homes[] = $thing;
        }

        return $homes;
    }

    private function find(Thing $thing): void
    {
        $kind = $thing::kind()->value;
        if (! isset($this->found[$kind][$thing->id()])) {
            $this->found[$kind][$thing->id()] = true;
            $this->waiting[] = $thing;
        }
    }

    /** Whatever the found things refer to, and what that refers to, as they were and as they are. */
    private function upwards(): void
    {
        $waiting = $this->touched($this->edited->before);
        foreach ($this->found as $kind => $ids) {
            foreach (array_keys($ids) as $id) {
                $thing = $this->edited->plan->find(ThingKind::from($kind), $id);
                if ($thing !== null) {
                    $waiting[] = $thing;
                }
            }
        }
        while (($thing = array_pop($waiting)) !== null) {
            foreach (Ties::of($thing::kind()) as $tie) {
                foreach ($tie->ids($thing) as $id) {
                    if (isset($this->found[$tie->to->value][$id])) {
                        continue;
                    }
                    $this->found[$tie->to->value][$id] = true;
                    $other = $this->edited->plan->find($tie->to, $id);
                    if ($other !== null) {
                        $waiting[] = $other;
                    }
                }
            }
        }
    }
}
