<?php

declare(strict_types=1);

namespace Rundfunk\Edit;

use Rundfunk\Format\ThingReader;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\OperationKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\Shape\Problems;

/**
 * Applies operations to a plan: all of them or, when one is wrong, none. Removing a thing removes what cannot be
 * without it and clears what merely refers to it.
 */
final readonly class Editor
{
    private ThingReader $things;

    public function __construct(Knowledge $knowledge)
    {
        $this->things = new ThingReader($knowledge);
    }

    /**
     * @param  iterable<Operation>  $operations
     *
     * @throws PlanRefused naming each operation that cannot be done, as /operations/INDEX/…
     */
    public function apply(Plan $plan, iterable $operations): Edited
    {
        $work = new EditInProgress($plan);
        $problems = new Problems;
        $index = 0;
        foreach ($operations as $operation) {
            $place = '/operations/'.$index++;
            match (true) {
                $operation->kind === null => $this->changeProperties($operation, $place, $work, $problems),
                $operation->op === OperationKind::Add => $this->add($operation->kind, $operation, $place, $work, $problems),
                $operation->op === OperationKind::Change => $this->change($operation->kind, $operation, $place, $work, $problems),
                default => $this->remove($operation->kind, $operation, $place, $work, $problems),
            };
        }
        $problems->settle();

        return $work->done();
    }

    private function changeProperties(Operation $operation, string $place, EditInProgress $work, Problems $problems): void
    {
        $old = $work->draft->properties;
        if ($operation->id !== $old->id || array_key_exists('id', $operation->values)) {
            $problems->add($place.'/id', 'is not the id of this plan, which cannot change');

            return;
        }
        $new = $this->things->readProperties([...$old->values(), ...$operation->values], $place.'/values', $problems);
        if ($new !== null) {
            $work->changeProperties($new, array_keys($operation->values));
        }
    }

    private function add(ThingKind $kind, Operation $operation, string $place, EditInProgress $work, Problems $problems): void
    {
        if ($work->holds($operation->id)) {
            $problems->add($place.'/id', 'is in use in this plan already');

            return;
        }
        if ($work->draft->count($kind) >= $kind->limit()) {
            $problems->add($place, 'would make more than '.$kind->limit().' '.$kind->plural());

            return;
        }
        $thing = $this->things->read($kind, ['id' => $operation->id, ...$operation->values], $place.'/values', $work->draft, $problems);
        if ($thing !== null) {
            $work->add($thing);
        }
    }

    private function change(ThingKind $kind, Operation $operation, string $place, EditInProgress $work, Problems $problems): void
    {
        $old = $this->existing($kind, $operation, $place, $work, $problems);
        if ($old === null) {
            return;
        }
        if (array_key_exists('id', $operation->values)) {
            $problems->add($place.'/values/id', 'cannot change');

            return;
        }
        $values = [...$old->values(), ...$operation->values];
        if (is_array($values['settings'] ?? null) && is_array($old->values()['settings'] ?? null)) {
            // A change of settings names those that change; the others stay.
            $values['settings'] = [...$old->values()['settings'], ...$values['settings']];
        }
        $new = $this->things->read($kind, $values, $place.'/values', $work->draft, $problems);
        if ($new !== null) {
            $work->change($old, $new, array_keys($operation->values));
        }
    }

    private function remove(ThingKind $kind, Operation $operation, string $place, EditInProgress $work, Problems $problems): void
    {
        $thing = $this->existing($kind, $operation, $place, $work, $problems);
        if ($thing === null) {
            return;
        }
        $users = $work->usersOf($thing);
        if ($users !== []) {
            $names = implode(', ', array_slice($users, 0, 5)).(count($users) > 5 ? ' and '.(count($users) - 5).' more' : '');
            $problems->add($place, "cannot take {$thing->label()} away: {$names} ".(count($users) === 1 ? 'is one' : 'are such'));

            return;
        }
        $work->remove($thing);
    }

    private function existing(ThingKind $kind, Operation $operation, string $place, EditInProgress $work, Problems $problems): ?Thing
    {
        $thing = $work->draft->find($kind, $operation->id);
        if ($thing === null) {
            $problems->add($place.'/id', "names no {$kind->value} of this plan: \"".mb_substr(mb_scrub($operation->id), 0, 40).'"');
        }

        return $thing;
    }
}
