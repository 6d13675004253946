<?php

declare(strict_types=1);

namespace Tests\Core;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Catalogue\OwnClass;
use Rundfunk\Edit\Edited;
use Rundfunk\Edit\Editor;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\Tie;
use Rundfunk\Shape\Bond;
use Rundfunk\Shape\Described;
use Rundfunk\Shape\DescribedType;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\FieldType;
use Rundfunk\Shape\FlagType;
use Rundfunk\Shape\ListType;
use Rundfunk\Shape\NumberType;
use Rundfunk\Shape\OneOfType;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\Shape\RecordType;
use Rundfunk\Shape\SettingsType;
use Rundfunk\Shape\Values;
use Rundfunk\Shape\WholeType;

/** Edits that nobody would think of: any field of anything, set to anything that its shape allows. The same seed gives the same edits. */
final class RandomEdits
{
    private readonly Randomizer $random;

    /** @param  bool  $tidy  whether to leave out edits after which something refers past its own node */
    public function __construct(int $seed, private readonly Knowledge $knowledge, private readonly bool $tidy = false)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @return Edited|null null when the editor refuses it, as it does with most references to odd things */
    public function next(Plan $plan): ?Edited
    {
        $kind = $this->one(ThingKind::cases());
        $things = array_values($plan->all($kind));
        if ($things === []) {
            return null;
        }
        $thing = $this->one($things);
        // Removing takes much with it, so it is seldom.
        $operations = match ($this->random->getInt(0, 9)) {
            0 => [Operation::remove($kind, $thing->id())],
            1, 2 => [$this->addition($plan, $kind, $thing)],
            3 => $this->move($plan, $kind, $thing),
            default => [Operation::change($kind, $thing->id(), $this->values($plan, $kind, $thing))],
        };
        try {
            $edited = (new Editor($this->knowledge))->apply($plan, $operations);

            return $this->tidy && self::refersAcross($edited->plan) ? null : $edited;
        } catch (PlanRefused) {
            return null;
        }
    }

    /** Whether something refers past its own node: a key to another board's pad, a hop to a link that its ends are not on. */
    private static function refersAcross(Plan $plan): bool
    {
        foreach ($plan->hops() as $hop) {
            if ($plan->endpoint($hop->fromId)->linkId !== $hop->linkId || $plan->endpoint($hop->toId)->linkId !== $hop->linkId) {
                return true;
            }
        }
        foreach ([...$plan->controls(), ...$plan->outputs(), ...$plan->endpoints()] as $thing) {
            if ($thing->moduleId !== null && $plan->module($thing->moduleId)->nodeId !== $thing->nodeId) {
                return true;
            }
        }
        foreach ($plan->keyCodes() as $code) {
            if (($code->controlId !== null && $plan->control($code->controlId)->nodeId !== $code->nodeId) || ($code->outputId !== null && $plan->output($code->outputId)->nodeId !== $code->nodeId)) {
                return true;
            }
        }

        return false;
    }

    /** One more of the kind: like one that is there, but for what it refers to, each of which is the same or another. */
    private function addition(Plan $plan, ThingKind $kind, Thing $like): Operation
    {
        $values = $like->values();
        foreach ($kind->shape()->fields as $field) {
            if ($field->refers !== null && $this->random->getInt(0, 1) === 0) {
                $values[$field->name] = $this->value($plan, $field);
            }
        }
        $values['id'] = $plan->newId('random', (string) $this->random->getInt(0, 1_000_000));

        return Operation::add($kind->thing()::from(new Values($values)));
    }

    /**
     * An end with the hops that go through it to another link, as a node that is moved from one network to the next; of
     * anything else, whatever else it refers to.
     *
     * @return list<Operation>
     */
    private function move(Plan $plan, ThingKind $kind, Thing $thing): array
    {
        if ($thing instanceof Endpoint) {
            $link = $this->one($plan->links());
            $hops = [...$plan->hopsFrom($thing), ...$plan->hopsTo($thing)];

            return [
                Operation::change($kind, $thing->id, ['linkId' => $link->id, 'settings' => array_fill_keys(array_keys($thing->settings), null)]),
                ...array_map(static fn (Hop $hop): Operation => Operation::change(ThingKind::Hop, $hop->id, ['linkId' => $link->id]), $this->random->getInt(0, 1) === 0 ? [] : $hops),
            ];
        }
        $refers = array_values(array_filter($kind->shape()->fields, static fn (Field $field): bool => $field->refers !== null));

        return $refers === [] ? [] : [Operation::change($kind, $thing->id(), [$refers[0]->name => $this->value($plan, $refers[0])])];
    }

    /** @return array<string, mixed> */
    private function values(Plan $plan, ThingKind $kind, Thing $thing): array
    {
        $fields = array_filter($kind->shape()->fields, static fn (Field $field): bool => $field->name !== 'id');
        $field = $this->one(array_values($fields));
        if ($field->type instanceof SettingsType) {
            return ['settings' => $this->settings($plan, $thing)];
        }

        return [$field->name => $this->value($plan, $field)];
    }

    /** @return array<string, mixed> */
    private function settings(Plan $plan, Thing $thing): array
    {
        $shape = match (true) {
            $thing instanceof Link => $this->knowledge->media->named($thing->medium)->linkSettings(),
            $thing instanceof Endpoint => $this->knowledge->media->named($plan->link($thing->linkId)->medium)->endpointSettings(),
            $thing instanceof Control, $thing instanceof Output => $thing->kind->settings(),
            default => null,
        };
        if ($shape === null || $shape->fields === []) {
            return [];
        }
        $field = $this->one(array_values($shape->fields));

        return [$field->name => $this->value($plan, $field)];
    }

    private function value(Plan $plan, Field $field): mixed
    {
        if ($field->nullable && $this->random->getInt(0, 3) === 0) {
            return null;
        }
        if ($field->refers?->bond === Bond::Uses) {
            $own = ThingKind::from($field->refers->kind);
            $shipped = $own === ThingKind::OwnBoard ? $this->knowledge->catalogue->boards : $this->knowledge->catalogue->modules;

            return $this->one([...array_map(static fn (string $id): string => Tie::OWN.$id, array_keys($plan->all($own))), ...array_keys($shipped)]);
        }
        if ($field->refers !== null) {
            $ids = array_keys($plan->all(ThingKind::from($field->refers->kind)));
            if ($field->type instanceof ListType) {
                return $this->some($ids);
            }

            return $ids === [] ? null : $this->one($ids);
        }

        return $this->valueOf($plan, $field->type);
    }

    private function valueOf(Plan $plan, FieldType $type): mixed
    {
        return match (true) {
            $type instanceof OneOfType => $this->one($type->choices),
            $type instanceof DescribedType => OwnClass::description($this->one(array_keys($type->what === Described::Board ? $this->knowledge->catalogue->boards : $this->knowledge->catalogue->modules)), $this->knowledge->catalogue),
            $type instanceof FlagType => $this->random->getInt(0, 1) === 1,
            $type instanceof WholeType => $this->random->getInt($type->lowest, min($type->highest, $type->lowest + 300)),
            $type instanceof NumberType => round($type->lowest + ($type->highest - $type->lowest) * $this->random->getInt(0, 1000) / 1000, 3),
            $type instanceof ListType && $type->of instanceof OneOfType => $this->some($type->of->choices),
            $type instanceof ListType => array_map(fn (): mixed => $this->valueOf($plan, $type->of), range(0, $this->random->getInt(0, 2))),
            $type instanceof RecordType => array_map(fn (Field $field): mixed => $this->value($plan, $field), $type->shape->fields),
            default => $this->one(['Lamp', 'Other thing', 'x', 'C2F19A4703', '192.168.40.7', '+442079460123']),
        };
    }

    /**
     * @template T
     *
     * @param  list<T>  $from
     * @return list<T> none of them twice
     */
    private function some(array $from): array
    {
        return array_slice($this->random->shuffleArray($from), 0, $this->random->getInt(0, 3));
    }

    /**
     * @template T
     *
     * @param  array<array-key, T>  $from
     * @return T
     */
    private function one(array $from): mixed
    {
        return $from[$this->random->pickArrayKeys($from, 1)[0]];
    }
}
