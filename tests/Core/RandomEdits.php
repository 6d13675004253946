<?php

declare(strict_types=1);

namespace Tests\Core;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Rundfunk\Edit\Crossings;
use Rundfunk\Edit\Edited;
use Rundfunk\Edit\Editor;
use Rundfunk\Edit\Operation;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Shape\Field;
use Rundfunk\Plan\Shape\FlagType;
use Rundfunk\Plan\Shape\ListType;
use Rundfunk\Plan\Shape\NumberType;
use Rundfunk\Plan\Shape\OneOfType;
use Rundfunk\Plan\Shape\PlanRefused;
use Rundfunk\Plan\Shape\SettingsType;
use Rundfunk\Plan\Shape\WholeType;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;

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
        $operation = $this->random->getInt(0, 9) === 0 ? Operation::remove($kind, $thing->id()) : Operation::change($kind, $thing->id(), $this->values($plan, $kind, $thing));
        try {
            $edited = (new Editor($this->knowledge))->apply($plan, [$operation]);

            return $this->tidy && Crossings::any($edited) ? null : $edited;
        } catch (PlanRefused) {
            return null;
        }
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
        if ($field->refers !== null) {
            $others = array_values($plan->all($field->refers));

            return $others === [] ? null : $this->one($others)->id();
        }

        return match (true) {
            $field->type instanceof OneOfType => $this->one($field->type->choices),
            $field->type instanceof FlagType => $this->random->getInt(0, 1) === 1,
            $field->type instanceof WholeType => $this->random->getInt($field->type->lowest, min($field->type->highest, $field->type->lowest + 300)),
            $field->type instanceof NumberType => round($field->type->lowest + ($field->type->highest - $field->type->lowest) * $this->random->getInt(0, 1000) / 1000, 3),
            $field->type instanceof ListType => [],
            default => $this->one(['Lamp', 'Other thing', 'x', 'C2F19A4703', '192.168.40.7', '+442079460123']),
        };
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
