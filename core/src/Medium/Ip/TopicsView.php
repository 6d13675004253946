<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Knowledge;
use Rundfunk\Medium\Ip\Shown\EndTopics;
use Rundfunk\Medium\Ip\Shown\IpTopic;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;
use Rundfunk\View\View;

/** The topics of one end: a house network of 500 nodes has thousands, and nobody reads them all at once. */
final readonly class TopicsView implements View
{
    public function key(): string
    {
        return 'end-topics';
    }

    public function owner(): string
    {
        return Endpoint::class;
    }

    public function shape(): string
    {
        return EndTopics::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): ?EndTopics
    {
        $end = $plan->endpoint($of);
        $link = $plan->link($end->linkId);
        $topics = $link->medium === Ip::KEY ? Topics::ofNode($plan, $link, $plan->node($end->nodeId)) : [];

        return $topics === [] ? null : new EndTopics(array_map(static fn (Topic $topic): IpTopic => new IpTopic(
            $plan->node($topic->nodeId)->name, $topic->what, $topic->kind, $topic->name,
            $topic->qos, $topic->retained, $topic->payload, Topic::fault($topic->name),
        ), $topics));
    }
}
