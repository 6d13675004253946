<?php

declare(strict_types=1);

namespace Rundfunk\Links\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\ThingKind;

/** Which of a node's radios, modems or other parts an end of a link uses. */
final readonly class AttachmentStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Attachment;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        $taken = [];
        foreach ($plan->endpoints() as $endpoint) {
            if ($endpoint->moduleId !== null) {
                $taken[$endpoint->moduleId] = true;
            }
        }
        foreach ($plan->endpoints() as $endpoint) {
            if ($endpoint->moduleId !== null) {
                continue;
            }
            $link = $plan->link($endpoint->linkId);
            $node = $plan->node($endpoint->nodeId);
            $part = $knowledge->media->named($link->medium)->part();
            foreach ($plan->modulesOf($node) as $module) {
                $class = $knowledge->catalogue->classOf($module);
                if (! isset($taken[$module->id]) && $class->medium === $link->medium && $class->serves($endpoint->role)) {
                    $taken[$module->id] = true;
                    yield new Proposal(
                        $this->stage(),
                        Spot::of($endpoint, "{$node->name} on {$link->name}", 'moduleId'),
                        ucfirst($part)." of {$node->name} on {$link->name}",
                        null,
                        $module->name,
                        "The first {$part} of the right kind that no other link uses.",
                        [Operation::change(ThingKind::Endpoint, $endpoint->id, ['moduleId' => $module->id])],
                    );
                    break;
                }
            }
        }
    }
}
