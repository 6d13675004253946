<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Medium\LineForm;
use Rundfunk\Medium\Medium;
use Rundfunk\Plan\Role;
use Rundfunk\Shape\Shape;

/** A universe of up to 512 slots: what lamps are told again and again, by wire or by network. One tells, the others obey, and nobody answers. */
final readonly class Dmx implements Medium
{
    public const KEY = 'dmx';

    public function key(): string
    {
        return self::KEY;
    }

    public function name(): string
    {
        return 'DMX universe';
    }

    public function part(): string
    {
        return 'DMX driver';
    }

    public function usualRole(): Role
    {
        return Role::Sends;
    }

    public function form(): LineForm
    {
        return LineForm::Solid;
    }

    public function linkSettings(): Shape
    {
        return DmxSettings::shape();
    }

    public function endpointSettings(): Shape
    {
        return DmxEnd::shape();
    }

    public function offers(): array
    {
        return [
            new DmxCalculators,
            new DmxRules,
            new DmxSteps,
            new DmxFits,
            new DmxCables,
            new DmxStops,
            new DmxSayings,
            new DmxHops,
            new DmxBuild,
            new DmxFiles,
            new DmxPartLines,
            new DmxMessages,
            new DmxPanel,
            new DmxViews,
            new DmxLearns,
        ];
    }
}
