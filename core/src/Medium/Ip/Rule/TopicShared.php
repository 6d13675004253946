<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\Step;
use Rundfunk\Medium\Ip\Topics;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Two things that come out as one topic. */
#[Finds('ip-topic-shared', Step::Links)]
final readonly class TopicShared implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $first = [];
        $told = [];
        foreach (Topics::of($look->plan, $link) as $topic) {
            $other = $first[$topic->name] ?? null;
            $first[$topic->name] ??= $topic;
            if ($other === null || $other->thingId === $topic->thingId || isset($told["{$other->thingId} {$topic->thingId}"])) {
                continue;
            }
            $told["{$other->thingId} {$topic->thingId}"] = true;
            $node = $look->plan->node($topic->nodeId);
            yield Finding::fault(
                "{$other->what} and {$topic->what} come out as one topic",
                Spot::of($node, "{$node->name} on {$link->name}"),
                'Working the one works the other, and their states overwrite each other.',
                'Rename one of them.',
                numbers: ['topic' => $topic->name],
                about: [$other->thingId, $topic->thingId],
            );
        }
    }
}
