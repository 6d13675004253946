<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** One medium with one set of settings, shared by every endpoint on it. */
final readonly class Link implements Thing
{
    /**
     * @param  array<string, bool|float|int|string|null>  $settings  obeying the medium's own shape
     * @param  list<string>  $pinned  names of settings the user fixed
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $medium,
        public array $settings,
        public array $pinned = [],
        public int $order = 0,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Link;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::name(),
            Field::key('medium', 'What carries it.'),
            Field::settings('settings', "The link's settings; which there are depends on the medium."),
            Field::texts('pinned', 'Settings the user fixed, so that Assign leaves them alone.'),
            Field::order(),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('name'),
            $values->text('medium'),
            $values->settings('settings'),
            $values->texts('pinned'),
            $values->whole('order'),
        );
    }

    public function id(): string
    {
        return $this->id;
    }

    public function label(): string
    {
        return $this->name;
    }

    /** @param  array<string, bool|float|int|string|null>  $settings  in the place of those that it has */
    public function with(array $settings): self
    {
        return new self($this->id, $this->name, $this->medium, [...$this->settings, ...$settings], $this->pinned, $this->order);
    }

    public function pins(string $setting): bool
    {
        return in_array($setting, $this->pinned, true);
    }

    public function values(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'medium' => $this->medium,
            'settings' => $this->settings,
            'pinned' => $this->pinned,
            'order' => $this->order,
        ];
    }
}
