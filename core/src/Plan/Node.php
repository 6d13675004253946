<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

final readonly class Node implements Thing
{
    /**
     * @param  string|null  $flashedOwn  the fingerprint of what it did when it was flashed; null while it was not
     * @param  list<array{linkId: string, fingerprint: string}>  $flashed  of each of its links, then
     * @param  bool  $watchdog  a timer of the chip resets it when its program hangs
     */
    public function __construct(
        public string $id,
        public string $name,
        public NodeKind $kind,
        public ?string $placeId = null,
        public ?string $board = null,
        public int $order = 0,
        public string $note = '',
        public Sleep $sleep = Sleep::Never,
        public bool $owned = false,
        public ?string $flashedOwn = null,
        public array $flashed = [],
        public ?string $protocolId = null,
        public ?string $fixtureTypeId = null,
        public bool $watchdog = false,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Node;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::name(),
            Field::choice('kind', NodeKind::class, 'What part it plays.'),
            Field::mentions('placeId', ThingKind::Place, 'Where it stands.'),
            Field::classOf('board', ThingKind::OwnBoard, 'The class of its board.')->nullable(),
            Field::order(),
            Field::note(),
            Field::choiceOr('sleep', Sleep::Never, 'When its board sleeps, which decides how long a battery lasts.'),
            Field::owned(),
            Field::text('flashedOwn', 8, 'The fingerprint of what it did when it was flashed; none while it was not.')->nullable(),
            Field::records('flashed', Shape::of(Field::text('linkId', 26, 'The id of the link; one that is no more counts for nothing.'), Field::text('fingerprint', 8, 'Its fingerprint then.')), 40, 'The fingerprints of its links when it was flashed.'),
            Field::mentions('protocolId', ThingKind::Protocol, 'For what was bought and hangs on a serial line: what it understands and says.'),
            Field::mentions('fixtureTypeId', ThingKind::FixtureType, 'For what was bought and obeys a universe: what its slots are.'),
            Field::flag('watchdog', 'Whether a timer of its chip resets it when its program hangs.'),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('name'),
            $values->choice('kind', NodeKind::class),
            $values->textOrNull('placeId'),
            $values->textOrNull('board'),
            $values->whole('order'),
            $values->text('note'),
            $values->choice('sleep', Sleep::class),
            $values->flag('owned'),
            $values->textOrNull('flashedOwn'),
            array_map(static fn (array $one): array => ['linkId' => (new Values($one))->text('linkId'), 'fingerprint' => (new Values($one))->text('fingerprint')], $values->objects('flashed')),
            $values->textOrNull('protocolId'),
            $values->textOrNull('fixtureTypeId'),
            $values->flag('watchdog'),
        );
    }

    /** @return string|null the protocol that it speaks; none for a board of ours, whatever it was before */
    public function speaks(): ?string
    {
        return $this->kind->isBought() ? $this->protocolId : null;
    }

    /** A board of ours that does not hear and see all the time; what was bought does as it does. */
    public function sleeps(): bool
    {
        return ! $this->kind->isBought() && $this->sleep !== Sleep::Never;
    }

    public function id(): string
    {
        return $this->id;
    }

    public function label(): string
    {
        return $this->name;
    }

    public function values(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'kind' => $this->kind->value,
            'placeId' => $this->placeId,
            'board' => $this->board,
            'order' => $this->order,
            'note' => $this->note,
            'sleep' => $this->sleep->value,
            'owned' => $this->owned,
            'flashedOwn' => $this->flashedOwn,
            'flashed' => $this->flashed,
            'protocolId' => $this->protocolId,
            'fixtureTypeId' => $this->fixtureTypeId,
            'watchdog' => $this->watchdog,
        ];
    }
}
