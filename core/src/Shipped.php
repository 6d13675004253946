<?php

declare(strict_types=1);

namespace Rundfunk;

use Rundfunk\Arbitration\Rule\AllOffMisses;
use Rundfunk\Arbitration\Rule\OffForGood;
use Rundfunk\Arbitration\Rule\PrecedenceIdle;
use Rundfunk\Arbitration\Rule\RoutesFight;
use Rundfunk\Assign\Assigner;
use Rundfunk\Assign\Proposes;
use Rundfunk\Behaviour\BehaviourCalculators;
use Rundfunk\Behaviour\Rule\BehaviourRules;
use Rundfunk\Build\Rule\FlashAgain;
use Rundfunk\Build\Rule\LinkFlashedOtherwise;
use Rundfunk\Cables\Rule\CableGoesNowhere;
use Rundfunk\Cables\Rule\CableLosesVolts;
use Rundfunk\Cables\Rule\CableUnknown;
use Rundfunk\Cables\Rule\CoreBurns;
use Rundfunk\Cables\Rule\CoreIdle;
use Rundfunk\Cables\Rule\CoresRunOut;
use Rundfunk\Cables\Rule\CoreUsedTwice;
use Rundfunk\Cables\Rule\FedFromAfar;
use Rundfunk\Cables\Rule\GroundLifts;
use Rundfunk\Cables\Rule\PairApart;
use Rundfunk\Cables\Rule\PlugPinTwice;
use Rundfunk\Cables\Rule\StretchUnlaid;
use Rundfunk\Cables\Step\CoreStep;
use Rundfunk\Calculator\Calculators;
use Rundfunk\Calculator\OffersCalculators;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Check\Checker;
use Rundfunk\Check\HasRules;
use Rundfunk\Check\Rulebook;
use Rundfunk\Electrical\ElectricalCalculators;
use Rundfunk\Links\Rule\EndpointWithoutModule;
use Rundfunk\Links\Step\AttachmentStep;
use Rundfunk\Medium\Can\Can;
use Rundfunk\Medium\Cellular\Cellular;
use Rundfunk\Medium\Dmx\Dmx;
use Rundfunk\Medium\Infrared\Infrared;
use Rundfunk\Medium\Ip\Ip;
use Rundfunk\Medium\KeyedRadio\KeyedRadio;
use Rundfunk\Medium\Media;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\Serial\Serial;
use Rundfunk\Pins\Rule\AbilityMissing;
use Rundfunk\Pins\Rule\BusPinsMissing;
use Rundfunk\Pins\Rule\BusSplit;
use Rundfunk\Pins\Rule\ChannelMissing;
use Rundfunk\Pins\Rule\ChannelShared;
use Rundfunk\Pins\Rule\ChannelUnfit;
use Rundfunk\Pins\Rule\ConsolePinTaken;
use Rundfunk\Pins\Rule\ExpanderFedOtherwise;
use Rundfunk\Pins\Rule\ExpanderPinsShared;
use Rundfunk\Pins\Rule\HazardKeepsState;
use Rundfunk\Pins\Rule\I2cAddressShared;
use Rundfunk\Pins\Rule\NodeWithoutBoard;
use Rundfunk\Pins\Rule\NoPinLeft;
use Rundfunk\Pins\Rule\PinIncapable;
use Rundfunk\Pins\Rule\PinsUnassigned;
use Rundfunk\Pins\Rule\PinTooSlow;
use Rundfunk\Pins\Rule\PinUsedTwice;
use Rundfunk\Pins\Rule\PortShared;
use Rundfunk\Pins\Rule\ReadTooOften;
use Rundfunk\Pins\Rule\SelectPinAsInput;
use Rundfunk\Pins\Rule\SoftwareDisturbs;
use Rundfunk\Pins\Rule\SoftwareSerialTwice;
use Rundfunk\Pins\Rule\StrapPinPulled;
use Rundfunk\Pins\Rule\StripDeafens;
use Rundfunk\Pins\Rule\StripTooLong;
use Rundfunk\Pins\Rule\SwitchesAtStart;
use Rundfunk\Pins\Rule\SwitchOnStrap;
use Rundfunk\Pins\Rule\TerminalWiredTwice;
use Rundfunk\Pins\Rule\TimerTaken;
use Rundfunk\Pins\Step\ChannelStep;
use Rundfunk\Pins\Step\ExpanderStep;
use Rundfunk\Pins\Step\PinStep;
use Rundfunk\Pins\Step\SoftwareSerialStep;
use Rundfunk\Power\Circuits\Rule\CircuitRules;
use Rundfunk\Power\Circuits\Step\SpreadStep;
use Rundfunk\Power\Levels\Rule\BufferMissing;
use Rundfunk\Power\Levels\Rule\ChipOverdrawn;
use Rundfunk\Power\Levels\Rule\ContactUnheard;
use Rundfunk\Power\Levels\Rule\EdgeTooSlow;
use Rundfunk\Power\Levels\Rule\I2cPulledHard;
use Rundfunk\Power\Levels\Rule\LevelTooHigh;
use Rundfunk\Power\Levels\Rule\LevelTooLow;
use Rundfunk\Power\Levels\Rule\LowTooHigh;
use Rundfunk\Power\Levels\Rule\PartOutOfPlace;
use Rundfunk\Power\Levels\Rule\PartStarves;
use Rundfunk\Power\Levels\Rule\PartUnsaid;
use Rundfunk\Power\Levels\Rule\PinOverdrawn;
use Rundfunk\Power\Levels\Rule\PullTooStrong;
use Rundfunk\Power\Levels\Rule\PullUpMissing;
use Rundfunk\Power\Levels\Rule\RelayHolds;
use Rundfunk\Power\Levels\Rule\SeriesMissing;
use Rundfunk\Power\Levels\Step\OutOfPlaceStep;
use Rundfunk\Power\Levels\Step\PartStep;
use Rundfunk\Power\Rule\BatterySoonEmpty;
use Rundfunk\Power\Rule\BoardFedTwice;
use Rundfunk\Power\Rule\BoardInputUnfit;
use Rundfunk\Power\Rule\BoardRegulatorHot;
use Rundfunk\Power\Rule\BoardUnfed;
use Rundfunk\Power\Rule\BrownOut;
use Rundfunk\Power\Rule\CableBurns;
use Rundfunk\Power\Rule\CableDrops;
use Rundfunk\Power\Rule\FedFromBoardPin;
use Rundfunk\Power\Rule\FuseMissing;
use Rundfunk\Power\Rule\FuseUnfit;
use Rundfunk\Power\Rule\RailMissing;
use Rundfunk\Power\Rule\RailTwice;
use Rundfunk\Power\Rule\RegulatorDrains;
use Rundfunk\Power\Rule\RegulatorDropsOut;
use Rundfunk\Power\Rule\RegulatorHot;
use Rundfunk\Power\Rule\RegulatorOverfed;
use Rundfunk\Power\Rule\SupplyCannotGive;
use Rundfunk\Power\Rule\SupplyIdle;
use Rundfunk\Power\Rule\SupplyInCircle;
use Rundfunk\Power\Rule\SupplyMissing;
use Rundfunk\Power\Rule\SupplyTooHigh;
use Rundfunk\Power\Rule\SupplyTooLow;
use Rundfunk\Power\Rule\SupplyUnfed;
use Rundfunk\Power\Rule\SupplyUnknown;
use Rundfunk\Power\Rule\WeakRail;
use Rundfunk\Power\Step\BoardFeedStep;
use Rundfunk\Power\Step\SupplyStep;
use Rundfunk\Routes\Rule\ActionUnfit;
use Rundfunk\Routes\Rule\AsleepWhenTold;
use Rundfunk\Routes\Rule\CodeMissing;
use Rundfunk\Routes\Rule\CodeShared;
use Rundfunk\Routes\Rule\ControlAsleep;
use Rundfunk\Routes\Rule\ControlWithoutRoute;
use Rundfunk\Routes\Rule\FadeLost;
use Rundfunk\Routes\Rule\FadeUnfinished;
use Rundfunk\Routes\Rule\FunctionWithoutHardware;
use Rundfunk\Routes\Rule\OutputUndriven;
use Rundfunk\Routes\Rule\ReadingWithoutThreshold;
use Rundfunk\Routes\Rule\RouteWithoutPath;
use Rundfunk\Routes\Rule\SwitchingImpossible;
use Rundfunk\Routes\Rule\ValueImpossible;
use Rundfunk\Routes\Rule\ValueMissing;
use Rundfunk\Routes\Rule\ValueOutside;
use Rundfunk\Routes\Rule\ValueSpanUnknown;
use Rundfunk\Routes\Step\CodeStep;
use Rundfunk\Routes\Step\PathStep;
use Rundfunk\SafeState\Rule\SafeStateRules;
use Rundfunk\View\AllOffView;
use Rundfunk\View\AnswerStripView;
use Rundfunk\View\AxisCurveView;
use Rundfunk\View\CablesView;
use Rundfunk\View\CircuitsView;
use Rundfunk\View\CodeGridView;
use Rundfunk\View\LineMapView;
use Rundfunk\View\LinkPanelView;
use Rundfunk\View\ModulePinsView;
use Rundfunk\View\NodeLevelsView;
use Rundfunk\View\NodePowerView;
use Rundfunk\View\OffersViews;
use Rundfunk\View\OutputMastersView;
use Rundfunk\View\OwnClassesView;
use Rundfunk\View\PartsListView;
use Rundfunk\View\PinTableView;
use Rundfunk\View\ReportTrialView;
use Rundfunk\View\RouteWayView;
use Rundfunk\View\SafeChainView;
use Rundfunk\View\SafeStatesView;
use Rundfunk\View\SequenceStripView;
use Rundfunk\View\Views;

/**
 * What this program ships with, put together: the one place that lists media, rules, steps of Assign, calculators and views. Only entry points
 * (the command line, the application's provider, the documents' script) and tests name it.
 */
final class Shipped
{
    private static ?Knowledge $knowledge = null;

    /** As its files say. */
    public static function catalogue(): Catalogue
    {
        return Catalogue::readFrom(dirname(__DIR__).'/catalogue');
    }

    public static function knowledge(): Knowledge
    {
        return self::$knowledge ??= self::knowing(self::catalogue());
    }

    /** @param  Catalogue  $catalogue  of this program, however it was had */
    public static function knowing(Catalogue $catalogue): Knowledge
    {
        return new Knowledge($catalogue, Media::of(
            new PacketRadio,
            new Infrared,
            new KeyedRadio,
            new Cellular,
            new Ip,
            new Serial,
            new Can,
            new Dmx,
        ));
    }

    public static function checker(?Knowledge $knowledge = null): Checker
    {
        $knowledge ??= self::knowledge();

        return new Checker($knowledge, self::rules($knowledge));
    }

    public static function assigner(?Knowledge $knowledge = null): Assigner
    {
        $knowledge ??= self::knowledge();
        $steps = [new ExpanderStep, new ChannelStep, new SupplyStep, new BoardFeedStep, new AttachmentStep, new PathStep, new CodeStep, new SoftwareSerialStep, new OutOfPlaceStep, new PinStep, new PartStep, new CoreStep, new SpreadStep];
        foreach ($knowledge->media->everyOffering(Proposes::class) as $proposes) {
            $steps = [...$steps, ...$proposes->steps()];
        }

        return new Assigner($knowledge, $steps);
    }

    public static function calculators(?Knowledge $knowledge = null): Calculators
    {
        $knowledge ??= self::knowledge();
        $calculators = [...ElectricalCalculators::all(), ...BehaviourCalculators::all()];
        foreach ($knowledge->media->everyOffering(OffersCalculators::class) as $offers) {
            $calculators = [...$calculators, ...$offers->calculators()];
        }

        return Calculators::of(...$calculators);
    }

    public static function views(?Knowledge $knowledge = null): Views
    {
        $knowledge ??= self::knowledge();
        $byMedium = array_map(static fn (OffersViews $offers): array => $offers->views(), $knowledge->media->everyOffering(OffersViews::class));

        return Views::of(
            $knowledge,
            new LineMapView,
            new RouteWayView,
            new OutputMastersView,
            new AllOffView,
            new LinkPanelView,
            new PinTableView,
            new ModulePinsView,
            new NodePowerView,
            new NodeLevelsView,
            new OwnClassesView,
            new ReportTrialView,
            new PartsListView,
            new CablesView,
            new SafeStatesView,
            new SafeChainView,
            new CircuitsView,
            new CodeGridView,
            new SequenceStripView,
            new AnswerStripView,
            new AxisCurveView,
            ...array_merge([], ...array_values($byMedium)),
        );
    }

    /** In the order in which findings of one gravity are listed. */
    public static function rules(?Knowledge $knowledge = null): Rulebook
    {
        $knowledge ??= self::knowledge();
        $byMedium = array_map(static fn (HasRules $has): array => $has->rules(), $knowledge->media->everyOffering(HasRules::class));

        return new Rulebook([
            new NodeWithoutBoard,
            new PinUsedTwice,
            new PortShared,
            new TerminalWiredTwice,
            new PinIncapable,
            new StrapPinPulled,
            new SwitchOnStrap,
            new ChannelUnfit,
            new SoftwareSerialTwice,
            new SoftwareDisturbs,
            ...SafeStateRules::all(),
            ...CircuitRules::all(),
            new SwitchesAtStart,
            new TimerTaken,
            new PinTooSlow,
            new ExpanderPinsShared,
            new ExpanderFedOtherwise,
            new StripDeafens,
            new StripTooLong,
            new HazardKeepsState,
            new SelectPinAsInput,
            new ConsolePinTaken,
            new BusSplit,
            new BusPinsMissing,
            new AbilityMissing,
            new NoPinLeft,
            new PinsUnassigned,
            new WeakRail,
            new SupplyTooHigh,
            new SupplyTooLow,
            new SupplyMissing,
            new FedFromBoardPin,
            new RegulatorOverfed,
            new RegulatorDropsOut,
            new RegulatorHot,
            new SupplyCannotGive,
            new SupplyInCircle,
            new SupplyUnfed,
            new RailMissing,
            new RailTwice,
            new BoardInputUnfit,
            new BoardFedTwice,
            new BrownOut,
            new CableDrops,
            new CableBurns,
            new FuseMissing,
            new FuseUnfit,
            new SupplyUnknown,
            new RegulatorDrains,
            new BatterySoonEmpty,
            new BoardRegulatorHot,
            new SupplyIdle,
            new BoardUnfed,
            new LevelTooHigh,
            new LevelTooLow,
            new RelayHolds,
            new PullUpMissing,
            new LowTooHigh,
            new SeriesMissing,
            new ContactUnheard,
            new EdgeTooSlow,
            new PartOutOfPlace,
            new PartStarves,
            new PartUnsaid,
            new PullTooStrong,
            new PinOverdrawn,
            new ChipOverdrawn,
            new BufferMissing,
            new I2cAddressShared,
            new I2cPulledHard,
            new ChannelMissing,
            new ChannelShared,
            new EndpointWithoutModule,
            new ControlWithoutRoute,
            new OutputUndriven,
            new AsleepWhenTold,
            new ControlAsleep,
            new RouteWithoutPath,
            new CodeMissing,
            new CodeShared,
            new ActionUnfit,
            new ReadingWithoutThreshold,
            new FunctionWithoutHardware,
            new ReadTooOften,
            new ValueImpossible,
            new ValueMissing,
            new ValueOutside,
            new ValueSpanUnknown,
            new SwitchingImpossible,
            new FadeLost,
            new FadeUnfinished,
            new RoutesFight,
            new PrecedenceIdle,
            new OffForGood,
            new AllOffMisses,
            new CableGoesNowhere,
            new CoresRunOut,
            new CoreUsedTwice,
            new PlugPinTwice,
            new CableLosesVolts,
            new CoreBurns,
            new FedFromAfar,
            new GroundLifts,
            new PairApart,
            new CableUnknown,
            new StretchUnlaid,
            new CoreIdle,
            ...BehaviourRules::all(),
            new FlashAgain,
            new LinkFlashedOtherwise,
        ], $byMedium);
    }
}
