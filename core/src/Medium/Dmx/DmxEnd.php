<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Plan\Endpoint;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** The settings of one end of a universe, with their types. */
final readonly class DmxEnd
{
    private function __construct(
        public ?int $start,
        public string $mode,
        public string $together,
        public bool $terminated,
        public int $segment,
        public int $outputs,
        public int $priority,
        public bool $bridges,
        public string $template,
        public int $baud,
    ) {
    }

    public static function of(Endpoint $endpoint): self
    {
        $values = new Values($endpoint->settings);

        return new self(
            $values->wholeOrNull('start'),
            $values->text('mode'),
            $values->text('together'),
            $values->flag('terminated'),
            $values->whole('segment'),
            $values->whole('outputs'),
            $values->whole('priority'),
            $values->flag('bridges'),
            $values->text('template'),
            $values->whole('baud'),
        );
    }

    public static function shape(): Shape
    {
        return Shape::of(
            Field::whole('start', 1, DmxFrame::MOST_SLOTS, 'The first of its slots.')->nullable()->titled('Start address')->assigned(),
            Field::label('mode', 40, 'In which of its modes it is; the first when left out.')->titled('Mode'),
            Field::label('together', 24, 'Those with the same word here get addresses one behind the other.')->titled('Together as')->seldom(),
            Field::flag('terminated', 'By wire: whether its 120 Ω between the wires is on, or plugged in.')->titled('120 Ω on'),
            Field::whole('segment', 1, 32, 'By wire: on which stretch of cable it is. 1 begins at the sender, the others at splitters.', 1)->titled('Segment')->seldom(),
            Field::whole('outputs', 0, 16, 'Of a splitter: how many segments begin at it; 0 for what is none.', 0)->titled('Splits into')->seldom(),
            Field::whole('priority', 0, 200, 'By network: whom receivers obey when several send, the highest.', 100)->titled('Priority')->seldom(),
            Field::flag('bridges', 'Of the sender: whether it tells a bridge over a serial line, in words, instead of driving the wires itself.')->titled('Tells a bridge')->seldom(),
            Field::label('template', 40, 'Of a bridge: the words by which it is told one slot.', BridgeForm::USUAL)->titled('Bridge is told')->seldom(),
            Field::oneOf('baud', [2400, 4800, 9600, 19200, 38400, 57600, 115200], 'Of a bridge: the rate of its serial line, 8N1.', 9600, 'baud')->titled('at')->seldom(),
        );
    }
}
