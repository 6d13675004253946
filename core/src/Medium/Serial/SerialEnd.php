<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** The settings of one end of a serial line, with their types. */
final readonly class SerialEnd
{
    /** What everybody hears has this id; nobody has it for his own. */
    public const EVERYBODY = 0;

    public const HIGHEST = 247;

    public function __construct(
        public ?int $station,
        public bool $asks,
        public IdBy $idBy,
        public int $switches,
        public bool $terminated,
        public bool $biased,
        public int $restMs,
    ) {
    }

    public static function of(Endpoint $endpoint): self
    {
        $values = new Values($endpoint->settings);

        return new self(
            $values->wholeOrNull('station'),
            $values->flag('asks'),
            $values->choice('idBy', IdBy::class),
            $values->whole('switches'),
            $values->flag('terminated'),
            $values->flag('biased'),
            $values->whole('restMs'),
        );
    }

    public static function shape(): Shape
    {
        $own = [
            Field::whole('station', 0, 255, 'The id by which it is asked; 0 is what everybody hears.')->nullable()->titled('Id')->assigned(),
            Field::flag('asks', 'Whether it is the one that asks the others.')->titled('Asks'),
            Field::oneOf('idBy', ['flashing', 'switches', 'learning'], 'How it comes by its id.', 'flashing')->titled('Id by')->named(['flashing', 'switches on it', 'pressing its button'])->seldom(),
            Field::whole('switches', 1, 8, 'How many switches say its id.', 8)->titled('Switches')->seldom(),
            Field::flag('terminated', 'RS-485: whether its 120 Ω between the wires is on.')->titled('120 Ω on'),
            Field::flag('biased', 'RS-485: whether it holds the wires apart while nobody drives them.')->titled('Bias on'),
            Field::whole('restMs', 0, 600_000, 'How long what it is told takes to be done: the same is not told again before.', 0, 'ms')->titled('Takes')->seldom(),
        ];
        $found = [];
        foreach (SerialSettings::shape()->fields as $name => $field) {
            if (in_array($name, SerialSettings::SHARED, true)) {
                $found[] = $field->nullable();
            }
        }

        return Shape::of(...$own, ...$found);
    }

    /** @return int the highest id it can be given */
    public function highestId(): int
    {
        return $this->idBy === IdBy::Switches ? min(self::HIGHEST, (1 << $this->switches) - 1) : self::HIGHEST;
    }
}
