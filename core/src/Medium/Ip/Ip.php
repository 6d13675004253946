<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Medium\LineForm;
use Rundfunk\Medium\Medium;
use Rundfunk\Plan\Role;
use Rundfunk\Shape\Shape;

/** Wi-Fi or cable with a broker in the middle: nodes publish what is so and are told what to do. */
final readonly class Ip implements Medium
{
    public const KEY = 'ip';

    public function key(): string
    {
        return self::KEY;
    }

    public function name(): string
    {
        return 'IP';
    }

    public function part(): string
    {
        return 'network part';
    }

    public function usualRole(): Role
    {
        return Role::Both;
    }

    public function form(): LineForm
    {
        return LineForm::Double;
    }

    public function linkSettings(): Shape
    {
        return IpSettings::linkShape();
    }

    public function endpointSettings(): Shape
    {
        return IpSettings::endShape();
    }

    public function offers(): array
    {
        return [
            new IpRules,
            new IpSteps,
            new IpStops,
            new IpSayings,
            new IpHops,
            new IpBuild,
            new IpMessages,
            new IpPanel,
            new IpReadings,
            new IpServices,
            new IpKept,
        ];
    }
}
