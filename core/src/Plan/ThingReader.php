<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Shape\Problems;
use Rundfunk\Plan\Shape\Shape;
use Rundfunk\Plan\Shape\Values;

/** Reads one thing from plain values, checking its fields, what it refers to and its medium's settings. */
final readonly class ThingReader
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    /**
     * @param  PlanDraft  $draft  holds what the thing may refer to
     * @return Thing|null null when a problem was added
     */
    public function read(ThingKind $kind, mixed $raw, string $place, PlanDraft $draft, Problems $problems): ?Thing
    {
        $before = $problems->count();
        $class = $kind->thing();
        $values = $kind->shape()->accept($raw, $place, $problems);
        if ($problems->count() > $before) {
            return null;
        }
        $thing = $class::from(new Values($values));
        $this->checkReferences($thing, $place, $draft, $problems);
        $this->checkCatalogue($thing, $place, $problems);
        if ($problems->count() > $before) {
            return null;
        }
        $thing = $this->withSettings($thing, $place, $draft, $problems);

        return $problems->count() > $before ? null : $thing;
    }

    public function readParticulars(mixed $raw, string $place, Problems $problems): ?Particulars
    {
        $before = $problems->count();
        $values = Particulars::shape()->accept($raw, $place, $problems);
        if ($problems->count() > $before) {
            return null;
        }
        $particulars = Particulars::from(new Values($values));
        if (! $this->knowledge->catalogue->hasRegion($particulars->region)) {
            $problems->add($place.'/region', "names no region of the catalogue: \"{$particulars->region}\"");
        }

        return $particulars;
    }

    private function checkReferences(Thing $thing, string $place, PlanDraft $draft, Problems $problems): void
    {
        $values = $thing->values();
        foreach ($thing::kind()->shape()->fields as $name => $field) {
            $id = $values[$name] ?? null;
            if ($field->refers !== null && is_string($id) && $draft->find($field->refers, $id) === null) {
                $problems->add($place.'/'.$name, "names no {$field->refers->value} of this plan: \"{$id}\"");
            }
        }
    }

    private function checkCatalogue(Thing $thing, string $place, Problems $problems): void
    {
        $catalogue = $this->knowledge->catalogue;
        if ($thing instanceof Node && $thing->board !== null && ! $catalogue->hasBoard($thing->board)) {
            $problems->add($place.'/board', "names no board of the catalogue: \"{$thing->board}\"");
        }
        if ($thing instanceof Module && ! $catalogue->hasModule($thing->class)) {
            $problems->add($place.'/class', "names no module of the catalogue: \"{$thing->class}\"");
        }
        if ($thing instanceof Link && ! $this->knowledge->media->has($thing->medium)) {
            $problems->add($place.'/medium', "names no medium that this program knows: \"{$thing->medium}\"");
        }
    }

    private function withSettings(Thing $thing, string $place, PlanDraft $draft, Problems $problems): Thing
    {
        if ($thing instanceof Link) {
            $shape = $this->knowledge->media->named($thing->medium)->linkSettings();
            $values = $thing->values();
            $values['settings'] = $shape->accept($thing->settings, $place.'/settings', $problems);

            return Link::from(new Values($values));
        }
        if ($thing instanceof Endpoint) {
            $link = $draft->find(ThingKind::Link, $thing->linkId);
            if (! $link instanceof Link) {
                return $thing;
            }
            $shape = $this->knowledge->media->named($link->medium)->endpointSettings();
            $values = $thing->values();
            $values['settings'] = $shape->accept($thing->settings, $place.'/settings', $problems);

            return Endpoint::from(new Values($values));
        }
        if ($thing instanceof Control || $thing instanceof Output) {
            $values = $thing->values();
            $values['settings'] = self::ofKind($thing)->accept(self::fitting($thing), $place.'/settings', $problems);

            return $thing::from(new Values($values));
        }

        return $thing;
    }

    private static function ofKind(Control|Output $thing): Shape
    {
        return $thing->kind->settings();
    }

    /**
     * When a control changes its kind, what its old kind had besides goes.
     *
     * @return array<string, bool|float|int|string|null>
     */
    private static function fitting(Control|Output $thing): array
    {
        $others = [];
        foreach ($thing instanceof Control ? ControlKind::cases() : OutputKind::cases() as $kind) {
            $others += $kind->settings()->fields;
        }

        return array_diff_key($thing->settings, array_diff_key($others, self::ofKind($thing)->fields));
    }
}
