<?php

declare(strict_types=1);

namespace Rundfunk\Power;

use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Electrical\BatteryLife;
use Rundfunk\Figures;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Sleep;
use Rundfunk\Plan\Supply;
use Rundfunk\Shape\Values;

/**
 * How long a battery lasts what hangs on it, asleep and awake, as a range. How often a node wakes is what its readings say;
 * where keys wake it, how often people press them.
 */
final readonly class BatteryHours
{
    /** Whoever charges it does so at night. Common practice. */
    public const LEAST_DAYS = 1.0;

    /** A key that is pressed so often in a day. Common practice. */
    private const PRESSES_A_DAY = 50;

    /** From waking up to sleeping again, with what is sent and answered between, milliseconds. Common practice. */
    private const AWAKE_MS = 500.0;

    /** It wakes so often, seconds, where nothing says how often. Common practice. */
    private const UNSAID_S = 60;

    /** Beyond these nobody carries it. */
    private const MOST_MA = 100_000.0;

    private const MOST_MAH = 1_000_000.0;

    private function __construct(private Plan $plan, private Catalogue $catalogue, private SupplyTree $tree)
    {
    }

    /** @return BatteryLife|null null for what is no battery, or feeds nothing */
    public static function of(Plan $plan, Catalogue $catalogue, SupplyTree $tree, Supply $battery): ?BatteryLife
    {
        return (new self($plan, $catalogue, $tree))->life($battery);
    }

    /** @return string "15 to 21 h", "3 to 4 days", "5 to 7 months" */
    public static function words(BatteryLife $life): string
    {
        [$low, $high] = [(float) $life->daysLow(), (float) $life->daysHigh()];

        return match (true) {
            $high < 2.0 => Figures::significant(round($low * 24)).' to '.Figures::significant(round($high * 24)).' h',
            $high < 90.0 => Figures::significant(round($low)).' to '.Figures::significant(round($high)).' days',
            default => Figures::significant(round($low / 30.4)).' to '.Figures::significant(round($high / 30.4)).' months',
        };
    }

    private function life(Supply $battery): ?BatteryLife
    {
        $cell = $this->tree->classOf($battery)->cell;
        $activeMa = min(self::MOST_MA, $this->tree->load($battery)->typicalMa);
        if ($cell === null || $activeMa <= 0.0) {
            return null;
        }
        $node = $this->plan->node($battery->nodeId);
        $capacityMah = min(self::MOST_MAH, $battery->capacityMah ?? $cell->capacityMah);
        if ($node->sleep === Sleep::Never) {
            return new BatteryLife($capacityMah, $cell->usablePercent, $cell->selfDischargePercentMonth, $activeMa, $activeMa, 0.0, 1.0);
        }
        $periodS = $node->sleep === Sleep::UntilKey ? 86_400 / self::PRESSES_A_DAY : $this->readEveryS($node);

        return new BatteryLife($capacityMah, $cell->usablePercent, $cell->selfDischargePercentMonth, min($activeMa, $this->asleepMa($battery, $node)), $activeMa, self::AWAKE_MS, $periodS);
    }

    /** The board asleep, and whatever its regulators take for themselves, as the battery sees it. */
    private function asleepMa(Supply $battery, Node $node): float
    {
        $ma = $this->catalogue->boardOf($node)->own->sleepMa ?? 0.0;
        $feeder = $this->tree->feeder($node);
        foreach ($feeder === null ? [] : [$feeder, ...$this->tree->above($feeder)] as $supply) {
            if ($supply->id === $battery->id) {
                break;
            }
            $ma = $this->tree->drawnFor($supply, $ma);
        }

        return $ma;
    }

    /** @return float seconds from reading to reading, or state to state, of the one that is told most often */
    private function readEveryS(Node $node): float
    {
        // A state that is told only when it changes wakes nobody.
        $every = array_filter(array_map(static fn (Control $control): int => match ($control->kind) {
            ControlKind::State => $control->toldEveryS(),
            ControlKind::Reading => (new Values($control->settings))->whole('intervalS'),
            default => 0,
        }, $this->plan->controlsOf($node)), static fn (int $everyS): bool => $everyS > 0);

        return (float) ($every === [] ? self::UNSAID_S : min($every));
    }
}
