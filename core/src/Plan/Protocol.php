<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Frame\Checksum;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** What a bought device understands and says, from its manual: how its frames are made, its functions, its readings. */
final readonly class Protocol implements Thing
{
    /**
     * @param  list<ProtocolPart>  $parts  of every packet, in their order
     * @param  bool  $lowFirst  a value of several bytes goes out its low byte first
     * @param  int  $checkFrom  the first byte that the check covers, from 0
     * @param  bool  $checkLowFirst  the check's low byte goes first
     * @param  string  $lead  in words: what stands before everything, as \x1b or #
     * @param  string  $idAs  in words: none, number, letter (A for 1), hex
     * @param  string  $afterId  in words: what stands behind the id
     * @param  string  $between  in words: what stands between the word and its first value
     * @param  string  $separator  in words: what stands between values
     * @param  string  $ending  in words: what ends it, as \r\n
     * @param  bool  $bare  in words: answers come without lead and id
     * @param  list<ProtocolItem>  $items
     * @param  float|null  $logicV  where its pins are at logic levels: its high; null while nobody looked it up
     */
    public function __construct(
        public string $id,
        public string $name,
        public ProtocolForm $form = ProtocolForm::Packet,
        public array $parts = [],
        public ProtocolCoding $coding = ProtocolCoding::Bytes,
        public bool $lowFirst = false,
        public Checksum $check = Checksum::None,
        public int $checkFrom = 0,
        public bool $checkLowFirst = false,
        public string $lead = '',
        public string $idAs = 'none',
        public string $afterId = '',
        public string $between = '',
        public string $separator = ',',
        public string $ending = '\r',
        public bool $bare = false,
        public array $items = [],
        public int $order = 0,
        public string $note = '',
        public ?float $logicV = null,
    ) {
    }

    public static function kind(): ThingKind
    {
        return ThingKind::Protocol;
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::id(),
            Field::name(),
            Field::choiceOr('form', ProtocolForm::Packet, 'Packets of bits, or words.'),
            Field::records('parts', ProtocolPart::shape(), ProtocolPart::MOST, 'The fields of every packet.'),
            Field::choiceOr('coding', ProtocolCoding::Bytes, 'How the bits of a packet become bytes.'),
            Field::flag('lowFirst', 'Whether a value of several bytes goes out its low byte first.'),
            Field::oneOf('check', array_map(static fn (Checksum $one): string => $one->value, Checksum::cases()), 'The check sum by its name.', Checksum::None->value),
            Field::whole('checkFrom', 0, 15, 'The first byte that the check covers, from 0.', 0),
            Field::flag('checkLowFirst', 'Whether the low byte of the check goes first.'),
            Field::label('lead', 12, 'In words: what stands before everything.'),
            Field::oneOf('idAs', ['none', 'number', 'letter', 'hex'], 'In words: how the id is written.', 'none'),
            Field::label('afterId', 12, 'In words: what stands behind the id.'),
            Field::label('between', 12, 'In words: what stands between the word and its first value.'),
            Field::label('separator', 12, 'In words: what stands between values.', ','),
            Field::label('ending', 12, 'In words: what ends it; \r and \n as they are written here.', '\r'),
            Field::flag('bare', 'In words: whether answers come without lead and id.'),
            Field::records('items', ProtocolItem::shape(), ProtocolItem::MOST, 'Its functions and readings.'),
            Field::order(),
            Field::note(),
            Field::number('logicV', 1.0, 24.0, 'Where its pins are at logic levels: how high they go.', null, 'V')->nullable()->titled('Its pins'),
        );
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('id'),
            $values->text('name'),
            $values->choice('form', ProtocolForm::class),
            array_map(ProtocolPart::from(...), $values->each('parts')),
            $values->choice('coding', ProtocolCoding::class),
            $values->flag('lowFirst'),
            $values->choice('check', Checksum::class),
            $values->whole('checkFrom'),
            $values->flag('checkLowFirst'),
            $values->text('lead'),
            $values->text('idAs'),
            $values->text('afterId'),
            $values->text('between'),
            $values->text('separator'),
            $values->text('ending'),
            $values->flag('bare'),
            array_map(ProtocolItem::from(...), $values->each('items')),
            $values->whole('order'),
            $values->text('note'),
            $values->numberOrNull('logicV'),
        );
    }

    public function item(string $name): ?ProtocolItem
    {
        foreach ($this->items as $item) {
            if ($item->name === $name) {
                return $item;
            }
        }

        return null;
    }

    /** Its devices are told apart by an id. */
    public function hasIds(): bool
    {
        if ($this->form === ProtocolForm::Words) {
            return $this->idAs !== 'none';
        }
        foreach ($this->parts as $part) {
            if ($part->is === ProtocolPartKind::Id) {
                return true;
            }
        }

        return false;
    }

    /** @return int the highest id that it can write */
    public function highestId(): int
    {
        if ($this->form === ProtocolForm::Words) {
            return $this->idAs === 'letter' ? 26 : 247;
        }
        foreach ($this->parts as $part) {
            if ($part->is === ProtocolPartKind::Id) {
                return min(247, (1 << $part->bits) - 1);
            }
        }

        return 0;
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
            'form' => $this->form->value,
            'parts' => array_map(static fn (ProtocolPart $one): array => $one->values(), $this->parts),
            'coding' => $this->coding->value,
            'lowFirst' => $this->lowFirst,
            'check' => $this->check->value,
            'checkFrom' => $this->checkFrom,
            'checkLowFirst' => $this->checkLowFirst,
            'lead' => $this->lead,
            'idAs' => $this->idAs,
            'afterId' => $this->afterId,
            'between' => $this->between,
            'separator' => $this->separator,
            'ending' => $this->ending,
            'bare' => $this->bare,
            'items' => array_map(static fn (ProtocolItem $one): array => $one->values(), $this->items),
            'order' => $this->order,
            'note' => $this->note,
            'logicV' => $this->logicV,
        ];
    }
}
