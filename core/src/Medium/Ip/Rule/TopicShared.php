<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Ip\SharedNames;
use Rundfunk\Medium\Ip\Topics;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** Two things that come out as one topic. */
#[Finds('ip-topic-shared', WorkStep::Links)]
final readonly class TopicShared implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        if (! SharedNames::in($look)->any || ! self::mayClash($look->plan, $link)) {
            return;
        }
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

    /**
     * Two topics can be one only if two nodes, or two things of one node, come out as one name. To look whether any do is much
     * quicker than to spell out every topic of a house.
     */
    private static function mayClash(Plan $plan, Link $link): bool
    {
        $nodes = [];
        foreach ($plan->endpointsOn($link) as $endpoint) {
            $nodes[$endpoint->nodeId] = $plan->node($endpoint->nodeId);
        }
        foreach ($plan->hopsOver($link) as $hop) {
            // What is passed on from here to another link is told of here as well.
            $nodeId = $plan->output($plan->route($hop->routeId)->outputId)->nodeId;
            $nodes[$nodeId] ??= $plan->node($nodeId);
        }
        $names = array_map(static fn (Node $node): string => Topics::slug($node->name), $nodes);
        if (count(array_unique($names)) < count($names)) {
            return true;
        }
        foreach ($nodes as $node) {
            $outputs = array_map(static fn (Output $output): string => Topics::slug($output->name), $plan->outputsOf($node));
            $readings = ['presence'];
            foreach ($plan->controlsOf($node) as $control) {
                if ($control->kind === ControlKind::Reading) {
                    $readings[] = Topics::slug($control->name);
                }
            }
            if (count(array_unique($outputs)) < count($outputs) || count(array_unique($readings)) < count($readings)) {
                return true;
            }
        }

        return false;
    }
}
