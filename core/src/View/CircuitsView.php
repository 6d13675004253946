<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Check\Look;
use Rundfunk\Electrical\CircuitFuse;
use Rundfunk\Electrical\ResidualCurrent;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Circuit;
use Rundfunk\Plan\Load;
use Rundfunk\Plan\Plan;
use Rundfunk\Power\Circuits\AllLoads;
use Rundfunk\Power\Circuits\Contact;
use Rundfunk\View\Shown\CircuitShown;
use Rundfunk\View\Shown\CircuitsShown;
use Rundfunk\View\Shown\LoadShown;

/** Every circuit with its sums, and every load with what it takes. */
final readonly class CircuitsView implements View
{
    public function key(): string
    {
        return 'circuits';
    }

    public function owner(): null
    {
        return null;
    }

    public function shape(): string
    {
        return CircuitsShown::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): CircuitsShown
    {
        $look = new Look($plan, $knowledge);
        $all = AllLoads::in($look);

        return new CircuitsShown(
            array_map(static fn (Circuit $circuit): CircuitShown => self::circuit($all, $circuit), $plan->circuits()),
            array_map(static fn (Load $load): LoadShown => self::load($look, $all, $load), $plan->loads()),
        );
    }

    private static function circuit(AllLoads $all, Circuit $circuit): CircuitShown
    {
        $amperes = $all->amperes($circuit);
        $fuseA = $all->fuseA($circuit);
        $leakage = $circuit->residual ? (new ResidualCurrent($all->leakagesMa($circuit)))->sumMa() : null;

        return new CircuitShown(
            $circuit->id, (float) Figures::significant($amperes), $fuseA === null ? null : round($amperes / $fuseA, 4), $leakage === null ? null : (float) Figures::significant($leakage),
            Figures::significant($amperes).' A'.($fuseA === null ? ', no fuse' : ' of '.Figures::significant($fuseA)).($leakage === null ? '' : ', '.Figures::significant($leakage).' mA leak of '.Figures::significant(ResidualCurrent::MOST_MA)),
        );
    }

    private static function load(Look $look, AllLoads $all, Load $load): LoadShown
    {
        $drawn = $all->drawn($load);
        $switching = $load->outputId === null ? null : $all->classOf($look->plan->output($load->outputId))?->switches;
        $figure = static fn (?float $one): ?float => $one === null ? null : (float) Figures::significant($one);
        $fuse = $drawn->amperes === null ? null : CircuitFuse::for($drawn->amperes)->ratedA;

        return new LoadShown($load->id, $figure($drawn->amperes), $figure($drawn->inrushA()), $figure($switching === null ? null : (new Contact($switching))->mostA($drawn)), $fuse === null ? null : Figures::significant($fuse).' A'.($load->sort->wantsTimeLag() ? ' time-lag' : ''));
    }
}
