<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Ip\Topics;
use Rundfunk\Plan\Plan;

/** Two things that come out as one topic. */
final readonly class TopicShared extends IpRule implements LooksNearby
{
    public function key(): string
    {
        return 'ip-topic-shared';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (self::links($plan) as ['link' => $link]) {
            $first = [];
            $told = [];
            foreach (Topics::of($plan, $link) as $topic) {
                $other = $first[$topic->name] ?? null;
                $first[$topic->name] ??= $topic;
                if ($other === null || $other->thingId === $topic->thingId || isset($told["{$other->thingId} {$topic->thingId}"])) {
                    continue;
                }
                $told["{$other->thingId} {$topic->thingId}"] = true;
                $node = $plan->node($topic->nodeId);
                yield new Finding(
                    $this->key(),
                    Severity::Fault,
                    "{$other->what} and {$topic->what} come out as one topic",
                    Subject::of($node, "{$node->name} on {$link->name}"),
                    ['topic' => $topic->name],
                    'Working the one works the other, and their states overwrite each other.',
                    'Rename one of them.',
                    null,
                    [$other->thingId, $topic->thingId],
                );
            }
        }
    }
}
