<?php

declare(strict_types=1);

namespace Rundfunk\Power\Levels;

use Rundfunk\Check\Wire;
use Rundfunk\Figures;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;

/** All that is to be done to the parts at one wire for it to work: what does harm goes or gets another value, what is wanted comes. */
final readonly class Mending
{
    /** Each part is given another value, and taken out, once at most; what is wanted brings little more. */
    private const MOST = 24;

    /**
     * @param  string  $words  what stands there then
     * @param  string  $label  what is to be done
     * @param  list<Operation>  $operations
     */
    private function __construct(public string $words, public string $label, public array $operations)
    {
    }

    public static function of(Wiring $wiring, Wire $wire): self
    {
        $now = $wiring;
        for ($round = 0; $round < self::MOST; $round++) {
            $blamed = (new Misfits($now, $wire))->worst();
            if ($blamed !== []) {
                $better = (new Misfits($now, $wire))->better($blamed[0]);
                $now = $better === null ? $now->after(Operation::remove(Part::kind(), $blamed[0]->id)) : $now->after(Operation::change(Part::kind(), $blamed[0]->id, $better));

                continue;
            }
            $levels = $now->levels($wire);
            $operations = [
                ...($levels !== null && $levels->isWrong() ? LevelParts::fitting($now->plan, $levels)->operations : []),
                ...array_merge(...array_map(static fn (Wanted $wanted): array => $wanted->parts->operations, Wanted::at($now->plan, $now, $wire))),
            ];
            if ($operations === []) {
                break;
            }
            $now = $now->after(...$operations);
        }

        return self::between($wiring->partsAt($wire), array_column($now->partsAt($wire), null, 'id'));
    }

    /**
     * What leads from the parts that are there to those that are to be; one in place of another of its kind is that with another value.
     *
     * @param  list<Part>  $before
     * @param  array<string, Part>  $after
     */
    private static function between(array $before, array $after): self
    {
        $words = [];
        $taken = [];
        $operations = [];
        $gone = [];
        foreach ($before as $part) {
            $stays = $after[$part->id] ?? null;
            unset($after[$part->id]);
            if ($stays === null) {
                $gone[] = $part;
            } elseif ($stays->values() !== $part->values()) {
                $words[] = self::words($stays);
                $operations[] = Operation::change(Part::kind(), $part->id, self::changed($part, $stays->values()));
            }
        }
        foreach ($gone as $part) {
            $instead = array_values(array_filter($after, static fn (Part $new): bool => $new->kind === $part->kind))[0] ?? null;
            if ($instead === null) {
                $taken[] = "the {$part->kind->words()}";
                $operations[] = Operation::remove(Part::kind(), $part->id);

                continue;
            }
            unset($after[$instead->id]);
            $words[] = self::words($instead);
            $operations[] = Operation::change(Part::kind(), $part->id, self::changed($part, [...$instead->values(), 'id' => $part->id, 'order' => $part->order, 'owned' => $part->owned]));
        }
        foreach ($after as $part) {
            $words[] = self::words($part);
            $operations[] = Operation::add($part);
        }

        $out = implode(' and ', $taken);

        return new self(
            $words === [] ? "without {$out}" : implode(', ', $words),
            $words === [] ? "Take out {$out}" : 'Put there: '.implode(', ', $words).($taken === [] ? '' : " in place of {$out}"),
            $operations,
        );
    }

    /**
     * @param  array<string, mixed>  $values
     * @return array<string, mixed> those that it has not
     */
    private static function changed(Part $part, array $values): array
    {
        $has = $part->values();

        return array_filter($values, static fn (mixed $value, string $field): bool => $value !== $has[$field], ARRAY_FILTER_USE_BOTH);
    }

    private static function words(Part $part): string
    {
        $values = array_filter([$part->ohms, $part->lowerOhms], static fn (?float $ohms): bool => $ohms !== null);

        return $part->kind->words().($part->kind === PartKind::Shifter ? ', one channel' : '').($values === [] ? '' : ' '.implode(' / ', array_map(Figures::ohms(...), $values)));
    }
}
