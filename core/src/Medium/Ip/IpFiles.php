<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Build\Artefact;
use Rundfunk\Exchange\Csv;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\Text\FileName;

/** The topic table of a link, and a node's Thing Description. */
final readonly class IpFiles
{
    /** @return list<Artefact> */
    public static function of(Plan $plan, Endpoint $endpoint): array
    {
        $link = $plan->link($endpoint->linkId);
        $node = $plan->node($endpoint->nodeId);
        $rows = array_map(static fn (Topic $topic): array => [
            $plan->node($topic->nodeId)->name, $topic->what, $topic->kind->value, $topic->name, (string) $topic->qos, $topic->retained ? 'yes' : 'no', $topic->payload,
        ], Topics::of($plan, $link));

        return [
            new Artefact('topics', 'Topics', FileName::of(Topics::slug($link->name), '-topics.csv'), 'text/csv', Csv::write([['node', 'what', 'kind', 'topic', 'qos', 'retained', 'payload'], ...$rows])),
            new Artefact('thing-description', 'Thing Description', FileName::of(Topics::slug($node->name), '.td.jsonld'), 'application/td+json', ThingDescription::of($plan, $link, $node)),
        ];
    }
}
