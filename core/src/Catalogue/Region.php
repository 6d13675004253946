<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use Rundfunk\Shape\Values;

/** Whose rules of the air apply. A short table of our own, with its sources and date; never legal advice. */
final readonly class Region
{
    /**
     * @param  list<Band>  $bands
     * @param  list<int>  $wifi  Wi-Fi channels of the 2.4 GHz band that exist there
     */
    public function __construct(
        public string $key,
        public string $name,
        public float $mainsV,
        public string $asOf,
        public array $bands,
        public array $wifi,
    ) {
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('key'),
            $values->text('name'),
            $values->number('mainsV'),
            $values->text('asOf'),
            array_map(Band::from(...), $values->each('bands')),
            $values->wholes('wifi'),
        );
    }

    /** @return list<Band> */
    public function bandsOf(string $service): array
    {
        return array_values(array_filter($this->bands, static fn (Band $band): bool => $band->service === $service));
    }

    public function band(string $service): ?Band
    {
        foreach ($this->bands as $band) {
            if ($band->service === $service) {
                return $band;
            }
        }

        return null;
    }
}
