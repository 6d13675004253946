<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Knowledge;
use Rundfunk\Medium\Ip\Shown\IpFigures;
use Rundfunk\Medium\Ip\Shown\IpHost;
use Rundfunk\Medium\Ip\Shown\SubnetFigures;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\View\DrawsPanel;
use Rundfunk\View\OffersViews;

/** The figures of the house network: who has which address. */
final readonly class IpPanel implements DrawsPanel, OffersViews
{
    public function shape(): string
    {
        return IpFigures::class;
    }

    public function views(): array
    {
        return [new TopicsView];
    }

    public function panel(Plan $plan, Link $link, Knowledge $knowledge): IpFigures
    {
        $settings = IpSettings::of($link);
        $broker = IpEnds::brokers($plan, $link)[0] ?? null;
        $hosts = [];
        foreach ($plan->endpointsOn($link) as $endpoint) {
            $number = IpEnds::number($plan, $endpoint);
            if ($number !== null && $settings->subnet?->holds($number) === true) {
                $hosts[] = new IpHost($endpoint->id, $plan->node($endpoint->nodeId)->name, $settings->subnet->hostNumber($number));
            }
        }

        return new IpFigures(
            $settings->subnet === null ? null : new SubnetFigures($settings->subnet->size() - 2, $settings->dhcpFrom, $settings->dhcpTo),
            $broker === null ? null : $plan->node($broker->nodeId)->name,
            $settings->goneAfterS(),
            $hosts,
        );
    }
}
