<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Assign\Proposes;
use Rundfunk\Build\DescribesEnds;
use Rundfunk\Build\ExportsFiles;
use Rundfunk\Check\HasRules;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Ip\Rule\AddressHandedOut;
use Rundfunk\Medium\Ip\Rule\AddressMissing;
use Rundfunk\Medium\Ip\Rule\AddressOutside;
use Rundfunk\Medium\Ip\Rule\AddressShared;
use Rundfunk\Medium\Ip\Rule\BrokerMissing;
use Rundfunk\Medium\Ip\Rule\ClientShared;
use Rundfunk\Medium\Ip\Rule\CommandsRetained;
use Rundfunk\Medium\Ip\Rule\NoLastWill;
use Rundfunk\Medium\Ip\Rule\PresenceLate;
use Rundfunk\Medium\Ip\Rule\StateForgotten;
use Rundfunk\Medium\Ip\Rule\ToggleTwice;
use Rundfunk\Medium\Ip\Rule\TooManyStations;
use Rundfunk\Medium\Ip\Rule\TopicInvalid;
use Rundfunk\Medium\Ip\Rule\TopicShared;
use Rundfunk\Medium\Ip\Step\AddressStep;
use Rundfunk\Medium\Ip\Step\ClientStep;
use Rundfunk\Medium\LineForm;
use Rundfunk\Medium\Medium;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Role;
use Rundfunk\Routes\HasAddresses;
use Rundfunk\Routes\PublishesReadings;
use Rundfunk\Routes\SaysCommands;
use Rundfunk\Shape\Shape;
use Rundfunk\Timing\Segment;
use Rundfunk\Timing\SegmentKind;
use Rundfunk\Timing\TimesHops;
use Rundfunk\View\DrawsPanel;
use Rundfunk\View\MarksStops;

/** Wi-Fi or cable with a broker in the middle: nodes publish what is so and are told what to do. */
final readonly class Ip implements DescribesEnds, DrawsPanel, ExportsFiles, HasAddresses, HasRules, MarksStops, Medium, Proposes, PublishesReadings, SaysCommands, TimesHops
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

    public function rules(): array
    {
        return [
            new AddressMissing, new AddressOutside, new AddressHandedOut, new AddressShared, new ClientShared, new BrokerMissing, new TopicInvalid, new TopicShared,
            new CommandsRetained, new StateForgotten, new NoLastWill, new ToggleTwice, new PresenceLate, new TooManyStations,
        ];
    }

    public function steps(): array
    {
        return [new AddressStep, new ClientStep];
    }

    public function addressFor(Plan $plan, Hop $hop): ?Address
    {
        return IpEnds::address($plan, $plan->endpoint($hop->toId));
    }

    public function mark(Plan $plan, Endpoint $endpoint): ?string
    {
        $value = IpEnds::address($plan, $endpoint)?->value;

        return $value === null ? null : (string) strrchr($value, '.');
    }

    public function saying(Plan $plan, Hop $hop): string
    {
        $route = $plan->route($hop->routeId);

        return Topics::command($plan, $plan->link($hop->linkId), $plan->output($route->outputId)).' '.Topics::payload($route);
    }

    public function segments(Plan $plan, Hop $hop, int $turn): array
    {
        // Through the air to the broker and on again; at worst a lost packet waits for its time-out. Common practice.
        return [new Segment(SegmentKind::Airtime, 'through the broker', 3_000_000, 20_000_000, 1_000_000_000)];
    }

    public function defines(Plan $plan, Endpoint $endpoint): array
    {
        return IpHeader::defines($plan, $endpoint);
    }

    public function artefacts(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): array
    {
        return IpFiles::of($plan, $endpoint);
    }

    public function panelSchema(): array
    {
        return IpPanel::schema();
    }

    public function panel(Plan $plan, Link $link, Knowledge $knowledge): array
    {
        return IpPanel::of($plan, $link);
    }
}
