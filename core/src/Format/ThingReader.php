<?php

declare(strict_types=1);

namespace Rundfunk\Format;

use Rundfunk\Catalogue\OwnClass;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\OwnBoard;
use Rundfunk\Plan\OwnModule;
use Rundfunk\Plan\PlanDraft;
use Rundfunk\Plan\PlanProperties;
use Rundfunk\Plan\Supply;
use Rundfunk\Plan\Thing;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Plan\Tie;
use Rundfunk\Plan\Ties;
use Rundfunk\Shape\Problems;
use Rundfunk\Shape\Values;

/** Reads one thing from plain values, checking its fields, what it refers to and its medium's settings. */
final readonly class ThingReader
{
    private SettingShapes $shapes;

    public function __construct(private Knowledge $knowledge)
    {
        $this->shapes = new SettingShapes($knowledge->media);
    }

    /**
     * @param  PlanDraft  $draft  holds what the thing may refer to
     * @param  array<array-key, true>  $alike  ids of its own kind that are read with it, to which it may refer as well
     * @return Thing|null null when a problem was added
     */
    public function read(ThingKind $kind, mixed $raw, string $place, PlanDraft $draft, Problems $problems, array $alike = []): ?Thing
    {
        $before = $problems->count();
        $class = $kind->thing();
        $values = $kind->shape()->accept($raw, $place, $problems);
        if ($problems->count() > $before) {
            return null;
        }
        $thing = $class::from(new Values($values));
        $this->checkReferences($thing, $place, $draft, $problems, $alike);
        $this->checkCatalogue($thing, $place, $problems);
        if ($problems->count() > $before) {
            return null;
        }
        $thing = $this->withSettings($this->described($thing), $place, $draft, $problems);

        return $problems->count() > $before ? null : $thing;
    }

    /** A copy of a class that says no more is that class, written out. */
    private function described(Thing $thing): Thing
    {
        $isBare = ($thing instanceof OwnBoard || $thing instanceof OwnModule) && $thing->description === [];

        return $isBare ? $thing::from(new Values([...$thing->values(), 'description' => OwnClass::description($thing->copyOf, $this->knowledge->catalogue)])) : $thing;
    }

    public function readProperties(mixed $raw, string $place, Problems $problems): ?PlanProperties
    {
        $before = $problems->count();
        $values = PlanProperties::shape()->accept($raw, $place, $problems);
        if ($problems->count() > $before) {
            return null;
        }
        $properties = PlanProperties::from(new Values($values));
        if (! $this->knowledge->catalogue->hasRegion($properties->region)) {
            $problems->add($place.'/region', "names no region of the catalogue: \"{$properties->region}\"");
        }

        return $properties;
    }

    /** @param  array<array-key, true>  $alike */
    private function checkReferences(Thing $thing, string $place, PlanDraft $draft, Problems $problems, array $alike): void
    {
        foreach (Ties::of($thing::kind()) as $tie) {
            foreach ($tie->ids($thing) as $id) {
                $comes = $tie->to === $thing::kind() && isset($alike[$id]);
                if (! $comes && $draft->find($tie->to, $id) === null) {
                    $problems->add($place.'/'.$tie->field, "names no {$tie->to->value} of this plan: \"{$id}\"");
                }
            }
        }
    }

    private function checkCatalogue(Thing $thing, string $place, Problems $problems): void
    {
        $catalogue = $this->knowledge->catalogue;
        if ($thing instanceof OwnBoard || $thing instanceof OwnModule) {
            OwnClass::check($thing, $place, $catalogue, $problems);
        }
        if ($thing instanceof Node && $thing->board !== null && ! self::isOwn($thing->board) && ! $catalogue->hasBoard($thing->board)) {
            $problems->add($place.'/board', "names no board of the catalogue: \"{$thing->board}\"");
        }
        if ($thing instanceof Supply && ! $catalogue->hasSupply($thing->class)) {
            $problems->add($place.'/class', "names no supply of the catalogue: \"{$thing->class}\"");
        }
        if ($thing instanceof Module && ! self::isOwn($thing->class) && ! $catalogue->hasModule($thing->class)) {
            $problems->add($place.'/class', "names no module of the catalogue: \"{$thing->class}\"");
        }
        if ($thing instanceof Link && ! $this->knowledge->media->has($thing->medium)) {
            $problems->add($place.'/medium', "names no medium that this program knows: \"{$thing->medium}\"");
        }
    }

    /** That the plan has it, the reference says. */
    private static function isOwn(string $class): bool
    {
        return str_starts_with($class, Tie::OWN);
    }

    private function withSettings(Thing $thing, string $place, PlanDraft $draft, Problems $problems): Thing
    {
        $link = $thing instanceof Endpoint ? $draft->find(ThingKind::Link, $thing->linkId) : null;
        $shape = $this->shapes->of($thing, $link instanceof Link ? $link : null);
        if ($shape === null) {
            return $thing;
        }
        $values = $thing->values();
        $given = $thing instanceof Control || $thing instanceof Output ? self::fitting($thing) : $values['settings'] ?? [];

        return $thing::from(new Values([...$values, 'settings' => $shape->accept($given, $place.'/settings', $problems)]));
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

        return array_diff_key($thing->settings, array_diff_key($others, $thing->kind->settings()->fields));
    }
}
