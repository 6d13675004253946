<?php

declare(strict_types=1);

namespace Rundfunk\Check;

use Rundfunk\Edit\Edited;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\PinUse;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Supply;
use Rundfunk\Plan\Thing;

/** The things about which rules are to be asked. */
final readonly class Subjects
{
    /** The kinds of thing that rules judge. */
    private const CLASSES = [Node::class, Supply::class, Module::class, Control::class, Output::class, PinUse::class, Link::class, Endpoint::class, Hop::class, Route::class];

    /**
     * @param  array<class-string<Thing>, list<Thing>>  $things
     * @param  array<string, true>  $gone  ids of those that are no more
     */
    private function __construct(private array $things, public array $gone)
    {
    }

    public static function whole(Plan $plan): self
    {
        $things = [];
        foreach (self::CLASSES as $class) {
            $things[$class] = $plan->of($class);
        }

        return new self($things, []);
    }

    public static function felt(Edited $edited): self
    {
        $impact = $edited->impact();
        $things = [];
        $gone = [];
        foreach (self::CLASSES as $class) {
            $things[$class] = $impact->on($class);
            foreach ($impact->gone($class::kind()) as $id) {
                $gone[$id] = true;
            }
        }

        return new self($things, $gone);
    }

    /** @return array<string, true> of all of them */
    public function ids(): array
    {
        $ids = [];
        foreach ($this->things as $things) {
            foreach ($things as $thing) {
                $ids[$thing->id()] = true;
            }
        }

        return $ids;
    }

    /**
     * @template T of Thing
     *
     * @param  class-string<T>  $class
     * @return list<T> in the order of the plan
     */
    public function of(string $class): array
    {
        /** @var list<T> $things */
        $things = $this->things[$class] ?? [];

        return $things;
    }
}
