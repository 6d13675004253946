<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Arbitration\Standing;

/** What a node remembers from one step to the next. */
final class State
{
    /** A level that is not known yet, or a position nobody was told. */
    public const UNKNOWN = 2;

    /** @var list<array{level: int, seen: int, since: int, held: bool, told: int}> */
    public array $contacts = [];

    /** @var list<array{state: int, told: int, has: bool, since: int, again: int}> */
    public array $gauges = [];

    /** @var list<array{looked: int, has: bool, zone: int, told: int, drives: list<int>, tells: list<int>}> */
    public array $sticks = [];

    /** @var list<array{minute: int, since: int}> */
    public array $clocks = [];

    /** @var list<array{was: bool, running: bool, next: int, passes: int, since: int}> */
    public array $sequences = [];

    /** @var list<int> what each group was last put to */
    public array $groups = [];

    /** @var list<array{value: int, has: bool, told: int}> */
    public array $reports = [];

    /** @var list<array{standing: Standing, pulsing: bool, pulseAt: int, pulseMs: int, fed: bool, fedAt: int, known: bool, knownAt: int}> */
    public array $outputs = [];
}
