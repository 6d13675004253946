<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio;

use Rundfunk\Assign\Proposes;
use Rundfunk\Build\DescribesEnds;
use Rundfunk\Build\FramesMessages;
use Rundfunk\Calculator\OffersCalculators;
use Rundfunk\Check\HasRules;
use Rundfunk\Frame\FrameLayout;
use Rundfunk\Knowledge;
use Rundfunk\Medium\LineForm;
use Rundfunk\Medium\Medium;
use Rundfunk\Medium\PacketRadio\Calculator\PacketAddressQuality;
use Rundfunk\Medium\PacketRadio\Calculator\PacketAirtime;
use Rundfunk\Medium\PacketRadio\Calculator\PacketFrequency;
use Rundfunk\Medium\PacketRadio\Calculator\PacketRetryDelay;
use Rundfunk\Medium\PacketRadio\Rule\AcknowledgeWithoutCrc;
use Rundfunk\Medium\PacketRadio\Rule\AddressesTooAlike;
use Rundfunk\Medium\PacketRadio\Rule\AddressMalformed;
use Rundfunk\Medium\PacketRadio\Rule\ChannelOutsideBand;
use Rundfunk\Medium\PacketRadio\Rule\ChannelUnderWifi;
use Rundfunk\Medium\PacketRadio\Rule\EndsDisagree;
use Rundfunk\Medium\PacketRadio\Rule\LinksTooClose;
use Rundfunk\Medium\PacketRadio\Rule\PayloadTooShort;
use Rundfunk\Medium\PacketRadio\Rule\PipeImpossible;
use Rundfunk\Medium\PacketRadio\Rule\PipePrefixBroken;
use Rundfunk\Medium\PacketRadio\Rule\PoorAddress;
use Rundfunk\Medium\PacketRadio\Rule\PowerOverLimit;
use Rundfunk\Medium\PacketRadio\Rule\RetryDelaysEqual;
use Rundfunk\Medium\PacketRadio\Rule\RetryDelayTooShort;
use Rundfunk\Medium\PacketRadio\Rule\SettingMissing;
use Rundfunk\Medium\PacketRadio\Rule\SharedAddress;
use Rundfunk\Medium\PacketRadio\Rule\ToggleUnacknowledged;
use Rundfunk\Medium\PacketRadio\Rule\TooManySenders;
use Rundfunk\Medium\PacketRadio\Step\AddressStep;
use Rundfunk\Medium\PacketRadio\Step\LinkChannelStep;
use Rundfunk\Medium\PacketRadio\Step\PayloadStep;
use Rundfunk\Medium\PacketRadio\Step\RetryDelayStep;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Routes\CodeRange;
use Rundfunk\Routes\HandsOutCodes;
use Rundfunk\Routes\HasAddresses;
use Rundfunk\Shape\Shape;
use Rundfunk\Timing\TimesHops;
use Rundfunk\View\DrawsPanel;
use Rundfunk\View\MarksStops;

/** 2.4 GHz packet radio: a transceiver of 126 channels with addresses, check sums and acknowledges done in hardware. */
final readonly class PacketRadio implements DescribesEnds, DrawsPanel, FramesMessages, HandsOutCodes, HasAddresses, HasRules, MarksStops, Medium, OffersCalculators, Proposes, TimesHops
{
    public const KEY = 'packet-radio';

    public function key(): string
    {
        return self::KEY;
    }

    public function name(): string
    {
        return '2.4 GHz packet radio';
    }

    public function part(): string
    {
        return 'radio';
    }

    public function usualRole(): Role
    {
        return Role::Receives;
    }

    public function form(): LineForm
    {
        return LineForm::Dashed;
    }

    public function linkSettings(): Shape
    {
        return PacketSettings::linkShape();
    }

    public function endpointSettings(): Shape
    {
        return PacketSettings::endShape();
    }

    public function rules(): array
    {
        return [
            new EndsDisagree,
            new SettingMissing,
            new ChannelOutsideBand,
            new ChannelUnderWifi,
            new LinksTooClose,
            new PowerOverLimit,
            new AcknowledgeWithoutCrc,
            new PayloadTooShort,
            new AddressMalformed,
            new PoorAddress,
            new AddressesTooAlike,
            new SharedAddress,
            new PipePrefixBroken,
            new PipeImpossible,
            new TooManySenders,
            new RetryDelayTooShort,
            new RetryDelaysEqual,
            new ToggleUnacknowledged,
        ];
    }

    public function calculators(): array
    {
        return [new PacketAirtime, new PacketRetryDelay, new PacketFrequency, new PacketAddressQuality];
    }

    public function steps(): array
    {
        return [new LinkChannelStep, new AddressStep, new PayloadStep, new RetryDelayStep];
    }

    public function addressFor(Plan $plan, Hop $hop): ?Address
    {
        return PacketPipes::addressBetween($plan, $hop->fromId, $plan->endpoint($hop->toId));
    }

    public function mark(Plan $plan, Endpoint $endpoint): ?string
    {
        $address = PacketAddress::tryParse(($plan->addressesOf($endpoint)[0] ?? null)?->value);

        return $address === null ? null : '…'.substr($address->hex, -2);
    }

    public function layout(Link $link): FrameLayout
    {
        return PacketFrame::layout(PacketSettings::of($link));
    }

    public function segments(Plan $plan, Hop $hop, int $turn): array
    {
        return PacketExchange::of($plan, $hop)->segments($turn);
    }

    /** 0x00 and 0xFF are left out, for they are what blank memory and a dead line read as. Common practice. */
    public function codes(Plan $plan, Hop $hop): CodeRange
    {
        return new CodeRange(0x01, 0xFE, $hop->toId);
    }

    public function defines(Plan $plan, Endpoint $endpoint): array
    {
        return PacketDefines::of($plan, $endpoint);
    }

    public function panelSchema(): array
    {
        return PacketPanel::schema();
    }

    public function panel(Plan $plan, Link $link, Knowledge $knowledge): array
    {
        return PacketPanel::of($plan, $link, $knowledge);
    }
}
