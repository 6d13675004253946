<?php

declare(strict_types=1);

namespace Rundfunk\Power\Rule;

use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Catalogue\Rail;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\SupplyFrom;
use Rundfunk\Plan\ThingKind;

/** More current is drawn from a board's own supply pin than it can give: above all by an amplified radio from a weak 3.3 V pin. */
#[Finds('weak-rail', WorkStep::PinsAndPower)]
final readonly class WeakRail implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        foreach ($look->catalogue->boardOf($node)->rails ?? [] as $rail) {
            $fed = array_values(array_filter($look->plan->modulesOf($node), static fn (Module $module): bool => $module->supply === $rail->supply));
            $peaks = array_map(static fn (Module $module): float => $look->catalogue->classOf($module)->peakMa, $fed);
            $peakMa = array_sum($peaks);
            if ($peaks === [] || $peakMa <= $rail->limitMa) {
                continue;
            }
            $worst = $fed[(int) array_search(max($peaks), $peaks, true)];
            yield $this->finding($look->plan, $node, $rail, $worst, $look->catalogue->classOf($worst), $peakMa);
        }
    }

    private function finding(Plan $plan, Node $node, Rail $rail, Module $worst, ModuleClass $class, float $peakMa): Finding
    {
        $volts = Figures::significant($rail->volts);

        return Finding::fault(
            "{$worst->name} asks more of the {$volts} V pin than it gives",
            Spot::of($worst, "{$node->name}, {$worst->name}", 'supply'),
            'Peaks of '.Figures::significant($peakMa).' mA hang on a pin good for '.Figures::significant($rail->limitMa).' mA. '
                .($class->amplified() ? 'The radio seems to work at arm\'s length and fails or resets when it sends at full power.' : 'The voltage dips and the board resets.'),
            $class->maxV < 4.75 ? 'Feed it through a regulator adapter from 5 V, with 10 to 100 µF at the module.' : 'Give it a supply of its own, with a common ground.',
            self::fix($plan, $node, $worst, $class),
            numbers: ['peak_ma' => $peakMa, 'limit_ma' => $rail->limitMa, 'rail_v' => $rail->volts],
            about: [$node->id, $rail->name],
        );
    }

    private static function fix(Plan $plan, Node $node, Module $worst, ModuleClass $class): Fix
    {
        if ($class->maxV >= 4.75) {
            return Fix::change("Feed {$worst->name} from a supply of its own", $worst, ['supply' => SupplyFrom::Own->value]);
        }
        $operations = [Operation::change(ThingKind::Module, $worst->id, ['supply' => SupplyFrom::Adapter->value])];
        foreach ($plan->modulesOf($node) as $module) {
            if ($module->class === 'regulator-adapter') {
                return new Fix("Feed {$worst->name} through {$module->name}", ...$operations);
            }
        }
        $adapter = new Module($plan->newId('adapter', $node->id), $node->id, 'regulator-adapter', 'Regulator', SupplyFrom::Board5V, 90);

        return new Fix('Add a regulator adapter', Operation::add($adapter), ...$operations);
    }
}
