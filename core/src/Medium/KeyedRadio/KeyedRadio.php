<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Medium\LineForm;
use Rundfunk\Medium\Medium;
use Rundfunk\Plan\Role;
use Rundfunk\Shape\Shape;

/** 315, 433 or 868 MHz on-off keying: bought fobs and sockets, and our own plain transmitters and receivers. */
final readonly class KeyedRadio implements Medium
{
    public const KEY = 'keyed-radio';

    public function key(): string
    {
        return self::KEY;
    }

    public function name(): string
    {
        return 'on-off keyed radio';
    }

    public function part(): string
    {
        return 'keyed radio';
    }

    public function usualRole(): Role
    {
        return Role::Both;
    }

    public function form(): LineForm
    {
        return LineForm::Dashed;
    }

    public function linkSettings(): Shape
    {
        return KeyedSettings::linkShape();
    }

    public function endpointSettings(): Shape
    {
        return KeyedSettings::endShape();
    }

    public function offers(): array
    {
        return [
            new KeyedRules,
            new KeyedSteps,
            new KeyedCalculators,
            new KeyedStops,
            new KeyedSayings,
            new KeyedHops,
            new KeyedBuild,
            new KeyedMessages,
            new KeyedCodebook,
            new KeyedPanel,
        ];
    }
}
