<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

use Rundfunk\Shape\Shape;

/** Every kind of thing a plan holds, in an order in which a thing refers only to kinds before its own. */
enum ThingKind: string
{
    case Place = 'place';
    case Circuit = 'circuit';
    case OwnBoard = 'ownBoard';
    case OwnModule = 'ownModule';
    case Protocol = 'protocol';
    case FixtureType = 'fixtureType';
    case Node = 'node';
    case Supply = 'supply';
    case Module = 'module';
    case Part = 'part';
    case PinUse = 'pinUse';
    case Link = 'link';
    case Cable = 'cable';
    case Endpoint = 'endpoint';
    case BusMessage = 'busMessage';
    case Address = 'address';
    case Control = 'control';
    case Output = 'output';
    case Load = 'load';
    case KeyCode = 'keyCode';
    case Route = 'route';
    case Hop = 'hop';
    case Acceptance = 'acceptance';

    /** The name of the list that holds things of this kind in a plan file. */
    public function plural(): string
    {
        return match ($this) {
            self::Address => 'addresses',
            self::Supply => 'supplies',
            default => $this->value.'s',
        };
    }

    /** @return class-string<Thing> */
    public function thing(): string
    {
        return match ($this) {
            self::Place => Place::class,
            self::Circuit => Circuit::class,
            self::OwnBoard => OwnBoard::class,
            self::OwnModule => OwnModule::class,
            self::Protocol => Protocol::class,
            self::FixtureType => FixtureType::class,
            self::Node => Node::class,
            self::Supply => Supply::class,
            self::Module => Module::class,
            self::Part => Part::class,
            self::PinUse => PinUse::class,
            self::Link => Link::class,
            self::Cable => Cable::class,
            self::Endpoint => Endpoint::class,
            self::BusMessage => BusMessage::class,
            self::Address => Address::class,
            self::Control => Control::class,
            self::Output => Output::class,
            self::Load => Load::class,
            self::KeyCode => KeyCode::class,
            self::Route => Route::class,
            self::Hop => Hop::class,
            self::Acceptance => Acceptance::class,
        };
    }

    /** The shape of such a thing, made once. */
    public function shape(): Shape
    {
        /** @var array<string, Shape> $shapes */
        static $shapes = [];

        return $shapes[$this->value] ??= $this->thing()::shape();
    }

    /**
     * The most things of this kind that a plan may come to hold: far above any household, and no more than a server can judge
     * in a second. One that was stored with more is opened and can lose some.
     */
    public function limit(): int
    {
        return match ($this) {
            self::OwnBoard, self::OwnModule, self::Protocol, self::FixtureType => 50,
            self::Place, self::Link, self::Cable, self::Circuit => 500,
            self::Node => 1_000,
            self::KeyCode, self::BusMessage => 5_000,
            self::Supply, self::Module, self::Endpoint, self::Control, self::Output, self::Load, self::Route => 10_000,
            self::Part, self::PinUse, self::Address, self::Hop, self::Acceptance => 20_000,
        };
    }
}
