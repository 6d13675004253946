<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** A node's attachment to a link. */
final readonly class Endpoint implements Thing
{
    /**
     * @param  array<string, bool|float|int|string|null>  $settings  this end's own settings, and whatever it is known to have set otherwise than its link
     * @param  list<string>  $pinned  names of settings the user fixed
     * @param  list<string>  $deliberate  sharings that are meant, see {@see Deliberate}
     */
    public function __construct(
        public string $id,
        public string $linkId,
        public string $nodeId,
        public ?string $moduleId,
        public Role $role,
        public array $settings = [],
        public array $pinned = [],
        public array $deliberate = [],
        public int $order = 0,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Endpoint;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::joins('linkId', ThingKind::Link, 'The link it is on.'),
            Field::partOf('nodeId', ThingKind::Node, 'The node that is attached.'),
            Field::mentions('moduleId', ThingKind::Module, 'The module it uses.'),
            Field::choice('role', Role::class, 'Whether it sends, receives or both.'),
            Field::settings('settings', 'Settings of this end alone; which there are depends on the medium.'),
            Field::texts('pinned', 'Settings the user fixed.'),
            Field::texts('deliberate', 'Sharings that are meant.'),
            Field::order(),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('linkId'),
            $values->text('nodeId'),
            $values->textOrNull('moduleId'),
            $values->choice('role', Role::class),
            $values->settings('settings'),
            $values->texts('pinned'),
            $values->texts('deliberate'),
            $values->whole('order'),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function label(): string
    {
        return 'endpoint';
    }

    /**
     * Settings as this end has them: its link's, but for what is known to be set otherwise here.
     *
     * @param  list<string>  $shared  those that must be the same at both ends
     * @return array<string, bool|float|int|string|null>
     */
    public function over(Link $link, array $shared): array
    {
        return [...$link->settings, ...array_filter(array_intersect_key($this->settings, array_flip($shared)), static fn (mixed $value): bool => $value !== null)];
    }

    /**
     * What is known to be set otherwise here than on its link, of what must be the same at both ends.
     *
     * @param  list<string>  $shared
     * @return array<string, bool|float|int|string>
     */
    public function unlike(Link $link, array $shared): array
    {
        $unlike = [];
        foreach ($shared as $setting) {
            $own = $this->settings[$setting] ?? null;
            if ($own !== null && $own !== $link->settings[$setting]) {
                $unlike[$setting] = $own;
            }
        }

        return $unlike;
    }

    public function pins(string $setting): bool
    {
        return in_array($setting, $this->pinned, true);
    }

    public function means(Deliberate $sharing): bool
    {
        return in_array($sharing->value, $this->deliberate, true);
    }

    public function values(): array
    {
        return [
            'id' => $this->id,
            'linkId' => $this->linkId,
            'nodeId' => $this->nodeId,
            'moduleId' => $this->moduleId,
            'role' => $this->role->value,
            'settings' => $this->settings,
            'pinned' => $this->pinned,
            'deliberate' => $this->deliberate,
            'order' => $this->order,
        ];
    }
}
