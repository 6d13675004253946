<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Assign\Proposes;
use Rundfunk\Build\DescribesEnds;
use Rundfunk\Build\ExportsFiles;
use Rundfunk\Build\WritesC;
use Rundfunk\Calculator\OffersCalculators;
use Rundfunk\Check\HasRules;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Learn\CodeSet;
use Rundfunk\Learn\LaysOutSets;
use Rundfunk\Learn\LearnsCodes;
use Rundfunk\Medium\Infrared\Calculator\IrDecode;
use Rundfunk\Medium\Infrared\Calculator\IrEncode;
use Rundfunk\Medium\Infrared\Calculator\IrReachDistance;
use Rundfunk\Medium\Infrared\Calculator\LedResistorValue;
use Rundfunk\Medium\Infrared\Rule\CarrierOff;
use Rundfunk\Medium\Infrared\Rule\CodeUnknown;
use Rundfunk\Medium\Infrared\Rule\EmittersTogether;
use Rundfunk\Medium\Infrared\Rule\FunctionsAlike;
use Rundfunk\Medium\Infrared\Rule\HeardByTwo;
use Rundfunk\Medium\Infrared\Rule\HeldKeyFlips;
use Rundfunk\Medium\Infrared\Rule\IntervalTooShort;
use Rundfunk\Medium\Infrared\Rule\KeyHasTwoCodes;
use Rundfunk\Medium\Infrared\Rule\KeysAlike;
use Rundfunk\Medium\Infrared\Rule\KnownByNameOnly;
use Rundfunk\Medium\Infrared\Rule\LedOverPin;
use Rundfunk\Medium\Infrared\Rule\LedStarved;
use Rundfunk\Medium\Infrared\Rule\OutOfReach;
use Rundfunk\Medium\Infrared\Rule\RawOnly;
use Rundfunk\Medium\Infrared\Rule\RawTooAlike;
use Rundfunk\Medium\Infrared\Rule\SetIncomplete;
use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Medium\LineForm;
use Rundfunk\Medium\Medium;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Routes\SaysCommands;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;
use Rundfunk\Timing\TimesHops;
use Rundfunk\View\DrawsPanel;
use Rundfunk\View\MarksStops;

/** Infrared within one room: bought remotes, appliances and toys, and our own emitters and receivers. */
final readonly class Infrared implements DescribesEnds, DrawsPanel, ExportsFiles, HasRules, LaysOutSets, LearnsCodes, MarksStops, Medium, OffersCalculators, Proposes, SaysCommands, TimesHops, WritesC
{
    public const KEY = 'infrared';

    private Protocols $protocols;

    public function __construct()
    {
        $this->protocols = Protocols::standard();
    }

    public function key(): string
    {
        return self::KEY;
    }

    public function name(): string
    {
        return 'infrared';
    }

    public function part(): string
    {
        return 'infrared part';
    }

    public function usualRole(): Role
    {
        return Role::Both;
    }

    public function form(): LineForm
    {
        return LineForm::Dotted;
    }

    public function linkSettings(): Shape
    {
        return Shape::of(Field::flag('sunlit', 'Whether direct sun falls into the room: it halves the reach.')->titled('Sun'));
    }

    public function endpointSettings(): Shape
    {
        return IrEnd::shape();
    }

    public function rules(): array
    {
        return [
            new CodeUnknown($this->protocols),
            new KeysAlike($this->protocols),
            new KeyHasTwoCodes($this->protocols),
            new FunctionsAlike($this->protocols),
            new SetIncomplete($this->protocols),
            new HeardByTwo($this->protocols),
            new RawOnly($this->protocols),
            new RawTooAlike($this->protocols),
            new KnownByNameOnly($this->protocols),
            new CarrierOff($this->protocols),
            new HeldKeyFlips($this->protocols),
            new LedOverPin($this->protocols),
            new LedStarved($this->protocols),
            new OutOfReach($this->protocols),
            new IntervalTooShort($this->protocols),
            new EmittersTogether($this->protocols),
        ];
    }

    public function calculators(): array
    {
        return [new IrEncode, new IrDecode, new IrReachDistance, new LedResistorValue];
    }

    public function steps(): array
    {
        return [new IntervalStep($this->protocols)];
    }

    public function saying(Plan $plan, Hop $hop): ?string
    {
        $codes = LearnedCodes::all($plan, $hop);

        return match (count($codes)) {
            0 => null,
            1 => IrWords::ofCode($codes[0], $this->protocols),
            default => 'one of '.count($codes).' codes',
        };
    }

    public function mark(Plan $plan, Endpoint $endpoint): ?string
    {
        $node = $plan->node($endpoint->nodeId);

        return match (true) {
            $node->kind === NodeKind::Remote => Figures::counted(count($plan->controlsOf($node)), 'key'),
            $node->kind === NodeKind::Fixture => null,
            $endpoint->role === Role::Sends => 'emit',
            $endpoint->role === Role::Receives => 'recv',
            default => 'both',
        };
    }

    public function segments(Plan $plan, Hop $hop, int $turn): array
    {
        return IrTiming::segments($plan, $hop, $turn, $this->protocols);
    }

    public function defines(Plan $plan, Endpoint $endpoint): array
    {
        return IrHeader::defines($plan, $endpoint, $this->protocols);
    }

    public function cLines(Plan $plan, Endpoint $endpoint, string $prefix, Knowledge $knowledge): array
    {
        return IrHeader::tables($plan, $endpoint, $prefix, $this->protocols);
    }

    public function artefacts(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): array
    {
        return IrFiles::of($plan, $plan->node($endpoint->nodeId), $this->protocols);
    }

    public function learn(string $text, array $known): array
    {
        return IrLearning::from($text, $known, $this->protocols);
    }

    public function inShort(KeyCode $code): string
    {
        return IrWords::inShort($code);
    }

    public function setShape(): Shape
    {
        return IrSet::shape($this->protocols);
    }

    public function layOut(Plan $plan, Node $node, Values $values): CodeSet
    {
        return IrSet::layOut($plan, $node, $values, $this->protocols);
    }

    public function panelSchema(): array
    {
        return IrPanel::schema();
    }

    public function panel(Plan $plan, Link $link, Knowledge $knowledge): array
    {
        return IrPanel::of($plan, $link, $knowledge, $this->protocols);
    }
}
