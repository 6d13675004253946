<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;

enum OutputKind: string
{
    case Relay = 'relay';
    case Lamp = 'lamp';

    /** Let through for a share of the time: a dimmed light, a fan, a valve that is half open. */
    case Pwm = 'pwm';

    /** It goes to a place and holds it. */
    case Servo = 'servo';

    /** It turns both ways, as fast as it is told. */
    case Motor = 'motor';

    /** A string of lights, each with an address. */
    case Strip = 'strip';

    /** Something that is heard. */
    case Tone = 'tone';

    /** A word or figure that is shown: on a page, a small display, a topic. */
    case Display = 'display';

    /** What is done one after another: on starts it, off stops it, and at its end it is off again. Done all at once it is a scene. */
    case Sequence = 'sequence';

    /** Several outputs that are worked as one: what it is told, they are told. */
    case Group = 'group';

    /** Something a bought appliance or toy can do. */
    case Function = 'function';

    /** A text sent to a phone. */
    case Message = 'message';

    public function words(): string
    {
        return match ($this) {
            self::Pwm => 'dimmer',
            default => $this->value,
        };
    }

    /** It is on a channel of a module of its node, and so on a pin. */
    public function isWired(): bool
    {
        return ! in_array($this, [self::Function, self::Message, self::Sequence, self::Group, self::Display], true);
    }

    /** It is nothing but other outputs, worked by steps of its own. */
    public function hasSteps(): bool
    {
        return $this === self::Sequence || $this === self::Group;
    }

    /** It stands at something while the program of its node runs. */
    public function stands(): bool
    {
        return $this->isWired() || $this->hasSteps() || $this === self::Display;
    }

    /** It can be set to a speed, a level, a temperature, and is not only on or off. */
    public function takesValues(): bool
    {
        return ! in_array($this, [self::Relay, self::Lamp, self::Message, self::Sequence, self::Group], true);
    }

    /** What drives it draws its most for as long as it is on. A servo and a motor do so only when they start or are held fast. */
    public function staysAtItsPeak(): bool
    {
        return in_array($this, [self::Relay, self::Lamp, self::Pwm, self::Strip, self::Tone], true);
    }

    /** It has an off at all: a servo has places, and none of them is that. */
    public function switches(): bool
    {
        return $this !== self::Servo;
    }

    /** @return list<NodeKind> where such an output can be */
    public function homes(): array
    {
        return match ($this) {
            self::Function => [NodeKind::Fixture],
            self::Message => [NodeKind::Phone],
            default => [NodeKind::Controller, NodeKind::Handset, NodeKind::Gateway],
        };
    }

    /** What such an output has besides a name. */
    public function settings(): Shape
    {
        /** @var array<string, Shape> $made rules ask for them by the ten thousand */
        static $made = [];

        return $made[$this->value] ??= $this->madeSettings();
    }

    private function madeSettings(): Shape
    {
        return match ($this) {
            self::Message => Shape::of(Field::longText('words', 480, 'What the text says; {value} stands for the reading.')->titled('Says')),
            self::Function => Shape::of(
                Field::whole('lowest', -10_000, 10_000, 'The lowest value it can be set to: a speed, a level, a temperature.')->nullable()->titled('From'),
                Field::whole('highest', -10_000, 10_000, 'The highest.')->nullable()->titled('to'),
                Field::label('unit', 12, 'Unit of the value.')->titled('Unit'),
            ),
            self::Pwm => Shape::of(...self::span(0, 100, '%'), ...self::watched()),
            self::Servo => Shape::of(...self::span(-90, 90, '°'), ...self::watched()),
            self::Motor => Shape::of(...self::span(-100, 100, '%'), ...self::watched()),
            self::Tone => Shape::of(...self::span(0, 5_000, 'Hz'), ...self::watched()),
            self::Strip => Shape::of(
                Field::whole('pixels', 1, 2_000, 'How many lights it has.', 30)->titled('Lights'),
                ...self::span(0, 255, ''),
                ...self::watched(),
            ),
            self::Sequence => Shape::of(
                Field::whole('passes', 0, 10_000, 'How often it is gone through; 0 until it is put off.', 1)->titled('Times'),
                Field::whole('pauseMs', 0, 86_400_000, 'How long after its last step before it begins again, or ends.', 0, 'ms')->titled('Pause at the end'),
                ...self::watched(),
            ),
            self::Lamp => Shape::of(
                ...self::watched(),
                ...self::shown(),
                ...[Field::oneOf('whenUnknown', ['blink', 'stay'], 'What a lamp that shows a state does while that is not known.', 'blink')->titled('While it is not known')->seldom()],
            ),
            self::Display => Shape::of(...self::span(0, 1, ''), ...self::shown()),
            self::Relay, self::Group => Shape::of(...self::watched()),
        };
    }

    /** @return list<Field> */
    private static function span(int $lowest, int $highest, string $unit): array
    {
        return [
            Field::whole('lowest', -10_000, 10_000, 'The lowest value it is set to.', $lowest)->titled('From'),
            Field::whole('highest', -10_000, 10_000, 'The highest.', $highest)->titled('to'),
            Field::label('unit', 12, 'Unit of the value.', $unit)->titled('Unit'),
        ];
    }

    /** @return list<Field> */
    private static function shown(): array
    {
        return [
            Field::whole('unknownAfter', 1, 20, 'Where it shows a state that is told again and again: after how many that are missed it is not known any more.', 3)->titled('Unknown after missed')->seldom(),
        ];
    }

    /** @return list<Field> */
    private static function watched(): array
    {
        return [
            Field::whole('silenceMs', 0, 3_600_000, 'What another node holds on goes off when that is not heard of for so long; 0 for never.', 0, 'ms')->titled('When unheard for')->seldom(),
            Field::flag('silenceOn', 'Unheard for so long it comes on and does not go off, whatever it was last told: for what must run when nobody can reach it. Whoever holds it then says again, too, that it does not.')->titled('It goes')->seldom(),
        ];
    }
}
