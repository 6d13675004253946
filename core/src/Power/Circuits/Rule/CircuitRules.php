<?php

declare(strict_types=1);

namespace Rundfunk\Power\Circuits\Rule;

use Rundfunk\Check\Rule;

/** What can be wrong with loads and what they hang on. */
final readonly class CircuitRules
{
    /** @return list<Rule> */
    public static function all(): array
    {
        return [
            new AllUnplugged,
            new AlwaysOnSwitched,
            new BothTold,
            new CircuitCableBurns,
            new CircuitInCircle,
            new CircuitOverloaded,
            new CircuitUnfused,
            new CircuitsUnbalanced,
            new ContactAboveVolts,
            new ContactBreaksDc,
            new ContactJoinsCircuits,
            new ContactOverloaded,
            new CordBurns,
            new FlybackMissing,
            new FuseAboveContact,
            new FuseBelowLoad,
            new FuseInNeutral,
            new FuseMisplaced,
            new FuseNotSelective,
            new FuseTooQuick,
            new InterlockImpossible,
            new InterlockMissing,
            new LoadAdrift,
            new LoadUnfed,
            new LoadUnread,
            new LoadUnsaid,
            new NeutralSwitched,
            new OutletTwice,
            new ResidualMissing,
            new ResidualTrips,
            new RestoreWears,
            new SignalSideWeak,
            new SnubberMissing,
            new StartStarves,
            new SurgeKills,
            new SwitchKeepsVolts,
            new TransistorOnMains,
            new TriacHoldsNot,
            new TriacOnDirectCurrent,
            new VoltagesMixed,
        ];
    }
}
