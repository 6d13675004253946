<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\Schema;
use Rundfunk\View\DrawsPanel;

/** The figures of the house network: who has which address, and every topic. */
final readonly class IpPanel implements DrawsPanel
{
    /** @return array<string, mixed> */
    public function panelSchema(): array
    {
        return Schema::object([
            'subnet' => Schema::orNull(Schema::object(['hosts' => Schema::whole(), 'dhcpFrom' => Schema::whole(), 'dhcpTo' => Schema::whole()])),
            'broker' => Schema::orNull(Schema::text()), 'goneAfterS' => Schema::number(),
            'hosts' => Schema::listOf(Schema::object(['endpointId' => Schema::text(), 'name' => Schema::text(), 'number' => Schema::whole()])),
            'topics' => Schema::listOf(Schema::object([
                'node' => Schema::text(), 'what' => Schema::text(), 'kind' => Schema::oneOf('command', 'state', 'reading', 'presence'), 'topic' => Schema::text(),
                'qos' => Schema::whole(), 'retained' => Schema::flag(), 'payload' => Schema::text(), 'fault' => Schema::orNull(Schema::text()),
            ])),
        ]);
    }

    /** @return array<string, mixed> */
    public function panel(Plan $plan, Link $link, Knowledge $knowledge): array
    {
        $settings = IpSettings::of($link);
        $broker = IpEnds::brokers($plan, $link)[0] ?? null;
        $hosts = [];
        foreach ($plan->endpointsOn($link) as $endpoint) {
            $number = IpEnds::number($plan, $endpoint);
            if ($number !== null && $settings->subnet?->holds($number) === true) {
                $hosts[] = ['endpointId' => $endpoint->id, 'name' => $plan->node($endpoint->nodeId)->name, 'number' => $settings->subnet->hostNumber($number)];
            }
        }

        return [
            'subnet' => $settings->subnet === null ? null : ['hosts' => $settings->subnet->size() - 2, 'dhcpFrom' => $settings->dhcpFrom, 'dhcpTo' => $settings->dhcpTo],
            'broker' => $broker === null ? null : $plan->node($broker->nodeId)->name,
            'goneAfterS' => $settings->goneAfterS(),
            'hosts' => $hosts,
            'topics' => array_map(static fn (Topic $topic): array => [
                'node' => $plan->node($topic->nodeId)->name, 'what' => $topic->what, 'kind' => $topic->kind->value, 'topic' => $topic->name,
                'qos' => $topic->qos, 'retained' => $topic->retained, 'payload' => $topic->payload, 'fault' => Topic::fault($topic->name),
            ], Topics::of($plan, $link)),
        ];
    }
}
