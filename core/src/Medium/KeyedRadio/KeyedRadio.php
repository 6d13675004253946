<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Assign\Proposes;
use Rundfunk\Build\DescribesEnds;
use Rundfunk\Build\ExportsFiles;
use Rundfunk\Calculator\OffersCalculators;
use Rundfunk\Check\HasRules;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Learn\LearnsCodes;
use Rundfunk\Medium\KeyedRadio\Calculator\KeyedFrameTime;
use Rundfunk\Medium\KeyedRadio\Calculator\QuarterWaveLength;
use Rundfunk\Medium\KeyedRadio\Rule\AntennaOff;
use Rundfunk\Medium\KeyedRadio\Rule\CodesCollide;
use Rundfunk\Medium\KeyedRadio\Rule\CodeUnknown;
use Rundfunk\Medium\KeyedRadio\Rule\EndsDisagree;
use Rundfunk\Medium\KeyedRadio\Rule\FactoryCode;
use Rundfunk\Medium\KeyedRadio\Rule\OutsideBand;
use Rundfunk\Medium\KeyedRadio\Rule\PowerOverLimit;
use Rundfunk\Medium\KeyedRadio\Rule\ReceiverCannot;
use Rundfunk\Medium\KeyedRadio\Rule\RepeatsFlip;
use Rundfunk\Medium\KeyedRadio\Rule\RepeatsTooFew;
use Rundfunk\Medium\KeyedRadio\Rule\ReplayOpens;
use Rundfunk\Medium\KeyedRadio\Rule\SenderUnnumbered;
use Rundfunk\Medium\KeyedRadio\Rule\TooManyButtons;
use Rundfunk\Medium\KeyedRadio\Step\AntennaStep;
use Rundfunk\Medium\KeyedRadio\Step\ButtonStep;
use Rundfunk\Medium\KeyedRadio\Step\SenderStep;
use Rundfunk\Medium\LearnedCodes;
use Rundfunk\Medium\LineForm;
use Rundfunk\Medium\Medium;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Routes\CodeRange;
use Rundfunk\Routes\HandsOutCodes;
use Rundfunk\Routes\HasAddresses;
use Rundfunk\Routes\SaysCommands;
use Rundfunk\Shape\Shape;
use Rundfunk\Timing\Segment;
use Rundfunk\Timing\SegmentKind;
use Rundfunk\Timing\TimesHops;
use Rundfunk\View\DrawsPanel;
use Rundfunk\View\MarksStops;

/** 315, 433 or 868 MHz on-off keying: bought fobs and sockets, and our own plain transmitters and receivers. */
final readonly class KeyedRadio implements DescribesEnds, DrawsPanel, ExportsFiles, HandsOutCodes, HasAddresses, HasRules, LearnsCodes, MarksStops, Medium, OffersCalculators, Proposes, SaysCommands, TimesHops
{
    public const KEY = 'keyed-radio';

    public function key(): string
    {
        return self::KEY;
    }

    public function name(): string
    {
        return 'keyed radio';
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

    public function rules(): array
    {
        return [
            new OutsideBand,
            new PowerOverLimit,
            new ReplayOpens,
            new CodeUnknown,
            new CodesCollide,
            new FactoryCode,
            new SenderUnnumbered,
            new ReceiverCannot,
            new TooManyButtons,
            new RepeatsTooFew,
            new RepeatsFlip,
            new AntennaOff,
            new EndsDisagree,
        ];
    }

    public function calculators(): array
    {
        return [new KeyedFrameTime, new QuarterWaveLength];
    }

    public function steps(): array
    {
        return [new SenderStep, new ButtonStep, new AntennaStep];
    }

    public function codes(Plan $plan, Hop $hop): ?CodeRange
    {
        return KeyedCodes::isOurs($plan, $hop) ? new CodeRange(1, 15, $hop->fromId) : null;
    }

    public function addressFor(Plan $plan, Hop $hop): ?Address
    {
        return $plan->addressesOf($plan->endpoint($hop->fromId))[0] ?? null;
    }

    public function saying(Plan $plan, Hop $hop): ?string
    {
        $bits = KeyedCodes::of($plan, $hop);
        $code = LearnedCodes::of($plan, $hop);
        $coding = KeyedSettings::of($plan->link($hop->linkId))->coding;

        return match (true) {
            KeyedCodes::isOurs($plan, $hop) => $bits?->text(),
            $code === null => null,
            default => KeyedCodes::words($code, $coding),
        };
    }

    public function mark(Plan $plan, Endpoint $endpoint): ?string
    {
        $node = $plan->node($endpoint->nodeId);
        $number = KeyedCodes::senderNumber($plan, $endpoint);

        return match (true) {
            $node->kind === NodeKind::Remote => Figures::counted(count($plan->controlsOf($node)), 'key'),
            $number !== null => sprintf('%05X', $number),
            default => null,
        };
    }

    public function segments(Plan $plan, Hop $hop, int $turn): array
    {
        $settings = KeyedSettings::of($plan->link($hop->linkId));
        $frameNs = $settings->frameNs();

        // A receiver believes what it has heard twice; at worst the last two of the press are the first that arrive.
        return [
            ...($turn > 0 ? [new Segment(SegmentKind::Waiting, Figures::counted($turn, 'press').' first', $turn * $settings->pressNs(), $turn * $settings->pressNs(), $turn * $settings->pressNs())] : []),
            new Segment(SegmentKind::Airtime, 'two frames', 2 * $frameNs, 2 * $frameNs, 2 * $frameNs),
            new Segment(SegmentKind::Retries, 'sent again', 0, 0, max(0, $settings->repeats - 2) * $frameNs),
        ];
    }

    public function defines(Plan $plan, Endpoint $endpoint): array
    {
        return KeyedHeader::defines($plan, $endpoint);
    }

    public function artefacts(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): array
    {
        return KeyedFiles::of($plan, $endpoint);
    }

    public function learn(string $text, array $known): array
    {
        return KeyedLearning::from($text, $known);
    }

    public function inShort(KeyCode $code): string
    {
        return KeyedCodes::button($code) ?? ($code->command === null ? '?' : sprintf('%06X', $code->command));
    }

    public function panelSchema(): array
    {
        return KeyedPanel::schema();
    }

    public function panel(Plan $plan, Link $link, Knowledge $knowledge): array
    {
        return KeyedPanel::of($plan, $link, $knowledge);
    }
}
