<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;

enum ControlKind: string
{
    /** Springs back when let go. */
    case Button = 'button';

    /** Stays where it is put. */
    case Switch = 'switch';

    /** A position read as a voltage, such as one direction of a joystick. */
    case Axis = 'axis';

    /** What a sensor says, compared with a threshold. */
    case Reading = 'reading';

    /** A key of a bought remote or fob. */
    case Key = 'key';

    /** A phone call: it carries nothing but who calls. */
    case Call = 'call';

    /** A text with a command word. */
    case Text = 'text';

    /** A button, switch or slider on a web page. */
    case Widget = 'widget';

    /** A phrase said to a voice service. */
    case Phrase = 'phrase';

    /** A gesture that a camera or sensor of the gateway knows. */
    case Gesture = 'gesture';

    /** A time of day or an interval. */
    case Timer = 'timer';

    /** Anything else that a gateway's program can notice: a beat, a doorbell, a mail. */
    case Trigger = 'trigger';

    /** A moment of a sequence, or what a group hands on. */
    case Step = 'step';

    /** How an output stands, told by its own node: the answer to whoever asked something of it. */
    case State = 'state';

    public function words(): string
    {
        return match ($this) {
            self::Widget => 'web-page widget',
            self::Phrase => 'spoken phrase',
            self::Trigger => 'other trigger',
            default => $this->value,
        };
    }

    /** @return non-empty-list<Action> what such a control can sensibly ask of an output */
    public function actions(): array
    {
        return match ($this) {
            self::Button => [Action::Toggle, Action::On, Action::Off, Action::Pulse, Action::Momentary, Action::Set, Action::Step],
            self::Switch => [Action::Follow, Action::On, Action::Off],
            self::Axis => [Action::Set, Action::Step],
            self::Reading => [Action::Follow, Action::On, Action::Off, Action::Pulse, Action::Set],
            self::Key => [Action::Toggle, Action::On, Action::Off, Action::Pulse, Action::Momentary, Action::Set, Action::Step],
            self::Call => [Action::Pulse, Action::Toggle, Action::On, Action::Off],
            self::Text => [Action::On, Action::Off, Action::Pulse, Action::Set, Action::Toggle],
            self::Widget => [Action::On, Action::Off, Action::Toggle, Action::Follow, Action::Set, Action::Pulse, Action::Step],
            self::Phrase, self::Gesture => [Action::On, Action::Off, Action::Toggle, Action::Pulse, Action::Set, Action::Step],
            self::Step => [Action::On, Action::Off, Action::Pulse, Action::Toggle, Action::Follow, Action::Set, Action::Step],
            self::State => [Action::Follow, Action::Set, Action::On, Action::Off, Action::Pulse],
            self::Timer, self::Trigger => [Action::On, Action::Off, Action::Pulse, Action::Toggle, Action::Set],
        };
    }

    /** It is wired to a module of its node, and so to a pin. */
    public function isWired(): bool
    {
        return match ($this) {
            self::Button, self::Switch, self::Axis, self::Reading => true,
            default => false,
        };
    }

    /** Somebody works it, as against something that happens by itself. */
    public function isByHand(): bool
    {
        return match ($this) {
            self::Reading, self::Timer, self::Trigger, self::Step, self::State => false,
            default => true,
        };
    }

    /** A contact that bounces and must be steady before it counts. */
    public function bounces(): bool
    {
        return $this === self::Button || $this === self::Switch || $this === self::Axis;
    }

    /** @return list<NodeKind> where such a control can be */
    public function homes(): array
    {
        return match ($this) {
            self::Button, self::Switch, self::Axis => [NodeKind::Controller, NodeKind::Handset, NodeKind::Gateway],
            self::Reading => [NodeKind::Controller, NodeKind::Handset, NodeKind::Gateway, NodeKind::Fixture],
            self::Key => [NodeKind::Remote, NodeKind::Fixture],
            self::Call => [NodeKind::Phone],
            self::Text => [NodeKind::Phone],
            self::Widget, self::Phrase, self::Gesture => [NodeKind::Gateway, NodeKind::Controller, NodeKind::Phone],
            self::Timer, self::Trigger => [NodeKind::Gateway, NodeKind::Controller],
            self::Step, self::State => [NodeKind::Gateway, NodeKind::Controller, NodeKind::Handset],
        };
    }

    /** What such a control has besides a name. */
    public function settings(): Shape
    {
        /** @var array<string, Shape> $made rules ask for them by the ten thousand */
        static $made = [];

        return $made[$this->value] ??= $this->madeSettings();
    }

    private function madeSettings(): Shape
    {
        return match ($this) {
            self::Button, self::Switch => Shape::of(self::toldAgain()),
            self::Axis => Shape::of(
                Field::whole('rawLowest', 0, 65_535, 'What the converter reads at one end of its way.', 0)->titled('Reads from')->seldom(),
                Field::whole('rawCentre', 0, 65_535, 'What it reads when let go; none for half way.')->nullable()->titled('let go')->seldom(),
                Field::whole('rawHighest', 0, 65_535, 'What it reads at the other end; none for all that the board can read.')->nullable()->titled('to')->seldom(),
                Field::whole('deadBand', 0, 90, 'How much about the middle still counts as the middle.', 4, '%')->titled('Dead band')->seldom(),
                Field::whole('expo', 0, 100, 'How soft it is about the middle; full at the ends all the same.', 0, '%')->titled('Expo')->seldom(),
                Field::whole('everyMs', 10, 5_000, 'How often it is looked at, and told if it has moved.', 50, 'ms')->titled('Looked at every')->seldom(),
                self::toldAgain(),
            ),
            self::Reading => Shape::of(
                Field::label('unit', 12, 'Unit of the reading.')->titled('Unit'),
                Field::number('threshold', -10_000, 10_000, 'It counts as on beyond this.')->nullable()->titled('Threshold'),
                Field::number('hysteresis', 0, 10_000, 'How far it must come back to count as off again.', 1)->titled('Hysteresis'),
                Field::oneOf('beyond', ['above', 'below'], 'On which side of the threshold it counts as on.', 'above')->titled('On when'),
                Field::whole('intervalS', 1, 86_400, 'How often it is read.', 10, 's')->titled('Every'),
                Field::oneOf('onFailure', ['off', 'on', 'keep'], 'What it counts as when the sensor cannot be read: not beyond its threshold, beyond it, or as it stood.', 'off')->titled('When it fails')->seldom(),
                Field::whole('rawFrom', 0, 65_535, 'What the converter reads in one place; none where the program gives the unit.')->nullable()->titled('First reads')->seldom(),
                Field::number('unitFrom', -10_000, 10_000, 'How much that is.')->nullable()->titled('which is')->seldom(),
                Field::whole('rawTo', 0, 65_535, 'What the converter reads in another place.')->nullable()->titled('then reads')->seldom(),
                Field::number('unitTo', -10_000, 10_000, 'How much that is.')->nullable()->titled('and that is')->seldom(),
                Field::label('between', 240, 'Other places, for what goes by no straight line: what is read = how much that is, with commas between, as 600=20, 700=55.5.')->titled('and elsewhere, as 600=20')->seldom(),
                Field::whole('leastOnS', 0, 86_400, 'How long it counts as beyond at least, once it does; a sensor that fails ends that.', 0, 's')->titled('On for at least')->seldom(),
                Field::whole('leastOffS', 0, 86_400, 'How long it counts as not beyond at least, also when the board starts: a compressor needs minutes of rest.', 0, 's')->titled('Off for at least')->seldom(),
                self::toldAgain(),
            ),
            self::Call => Shape::of(
                Field::flag('callBack', 'Whether the board calls back and waits for a key: a number can be forged, being called on it cannot.')->titled('Calls back'),
            ),
            self::Text => Shape::of(
                Field::label('word', 24, 'The command word that the text begins with.')->nullable()->assigned()->titled('Word'),
                Field::flag('secret', 'Whether a secret must follow the word. The secret itself is put in when the board is flashed; it is never kept here.')->titled('Secret'),
                Field::flag('reply', 'Whether the node answers with the true state.', true)->titled('Answer'),
            ),
            self::Widget => Shape::of(
                Field::oneOf('shape', ['button', 'switch', 'slider'], 'What it looks like on the page.', 'button')->titled('Shape'),
            ),
            self::Phrase, self::Gesture, self::Trigger => Shape::of(
                Field::longText('words', 120, 'What is said, done or noticed.')->titled('What'),
            ),
            self::Step => Shape::of(
                Field::whole('afterMs', 0, 86_400_000, 'How long after the step before it.', 1_000, 'ms')->titled('After'),
                Field::oneOf('when', ['turn', 'stopped'], 'In its turn, or when the sequence is stopped.', 'turn')->titled('When')->named(['in turn', 'on stop']),
            ),
            self::State => Shape::of(
                Field::whole('everyS', 0, 86_400, 'How often it is told while nothing changes, so that whoever shows it knows that it still is so; 0 for changes only.', 30, 's')->titled('Again every'),
                Field::flag('always', 'Whether a command that changes nothing is answered too.', true)->titled('Answers always'),
            ),
            self::Timer => Shape::of(
                Field::label('at', 5, 'Time of day, as 06:30.')->nullable()->titled('At'),
                Field::whole('everyMin', 1, 10_080, 'Or every so many minutes.', null, 'min')->nullable()->titled('Every'),
            ),
            default => Shape::of(),
        };
    }

    private static function toldAgain(): Field
    {
        return Field::whole('repeatMs', 0, 60_000, 'How often what it holds is told again while it is worked, so that the other side knows it is still there; 0 for once.', 0, 'ms')->titled('Told again every')->seldom();
    }
}
