<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** What a plan says of itself and of its site. */
final readonly class PlanProperties
{
    /** @param  list<int>  $busyWifi Wi-Fi channels in use at the site, 1–14 */
    public function __construct(
        public string $id,
        public string $name,
        public string $region,
        public array $busyWifi = [],
        public string $note = '',
    ) {
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::name(),
            Field::key('region', 'Whose radio rules apply, a key of the catalogue.'),
            Field::wholes('busyWifi', 1, 14, 'Wi-Fi channels in use at the site.'),
            Field::longText('note', 2_000, 'Anything worth remembering.'),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('name'),
            $values->text('region'),
            $values->wholes('busyWifi'),
            $values->text('note'),
        );
    }

    /** @return array<string, mixed> */
    public function values(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'region' => $this->region,
            'busyWifi' => $this->busyWifi,
            'note' => $this->note,
        ];
    }
}
