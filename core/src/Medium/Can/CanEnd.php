<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Plan\BusMessage;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** The settings of one end of a bus, with their types. */
final readonly class CanEnd
{
    /** @param  list<CanMessage>  $messages  what it sends besides the commands of this plan */
    private function __construct(
        public ?int $identifier,
        public bool $listenOnly,
        public bool $terminated,
        public int $terminatorOhm,
        public float $stubM,
        public float $clockMHz,
        public array $messages,
    ) {
    }

    public static function of(Plan $plan, Endpoint $endpoint): self
    {
        $values = new Values($endpoint->settings);

        return new self(
            $values->wholeOrNull('identifier'),
            $values->flag('listenOnly'),
            $values->flag('terminated'),
            $values->whole('terminatorOhm'),
            $values->number('stubM'),
            $values->number('clockMHz'),
            array_map(static fn (BusMessage $message): CanMessage => new CanMessage($message), $plan->busMessagesOf($endpoint)),
        );
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::whole('identifier', 0, CanFrame::STANDARD_MOST, 'Under which it sends the commands of this plan: the lower, the more urgent.')->nullable()->titled('Identifier')->assigned()->hexadecimal(),
            Field::flag('listenOnly', 'Whether its controller is set to listen and never drives the bus, not even to acknowledge.')->titled('Only listens'),
            Field::flag('terminated', 'Whether its resistor between the two wires is on.')->titled('Resistor on'),
            Field::whole('terminatorOhm', 40, 1_000, 'What that resistor has.', 120, 'Ω')->titled('Resistor')->seldom(),
            Field::number('stubM', 0, 100, 'How far from the cable it stands.', 0.0, 'm')->titled('Stub')->seldom(),
            Field::number('clockMHz', 1, 200, 'The crystal on its controller, or the clock that a controller of the board\'s own has.', 8.0, 'MHz')->titled('Crystal'),
        );
    }

    /** @return array{CanMessage, CanSignal}|null the first of its signals of that name, and whose it is */
    public function signal(?string $name): ?array
    {
        if ($name === null) {
            return null;
        }
        foreach ($this->messages as $message) {
            $signal = $message->signal($name);
            if ($signal !== null) {
                return [$message, $signal];
            }
        }

        return null;
    }
}
