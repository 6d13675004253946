<?php

declare(strict_types=1);

namespace Rundfunk\Links\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Knowledge;
use Rundfunk\Links\FitsParts;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
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
        $taken = array_fill_keys(array_filter(array_map(static fn (Endpoint $endpoint): ?string => $endpoint->moduleId, $plan->endpoints()), is_string(...)), true);
        $waiting = [];
        foreach ($plan->endpoints() as $endpoint) {
            if ($endpoint->moduleId === null) {
                $waiting[$endpoint->nodeId][$plan->link($endpoint->linkId)->medium][] = $endpoint;
            }
        }
        foreach ($waiting as $nodeId => $byMedium) {
            foreach ($byMedium as $medium => $ends) {
                yield from $this->attach($plan, $plan->node($nodeId), $knowledge, $medium, $ends, $taken);
            }
        }
    }

    /**
     * The ends of one node on one medium, laid out over its free parts together: an end that only sends leaves the part that
     * can do both to one that needs it.
     *
     * @param  non-empty-list<Endpoint>  $ends
     * @param  array<string, true>  $taken
     * @return iterable<Proposal>
     */
    private function attach(Plan $plan, Node $node, Knowledge $knowledge, string $medium, array $ends, array $taken): iterable
    {
        $part = $knowledge->media->named($medium)->part();
        $parts = array_values(array_filter($plan->modulesOf($node), static fn (Module $module): bool => ! isset($taken[$module->id]) && $knowledge->catalogue->classOf($module)->medium === $medium));
        $fitting = $knowledge->media->offering(FitsParts::class, $medium);
        $served = Served::of($ends, array_map($knowledge->catalogue->classOf(...), $parts), static fn (Endpoint $end, ModuleClass $class): bool => $fitting?->fits($plan->link($end->linkId), $class) ?? true);
        foreach ($ends as $index => $endpoint) {
            $module = $parts[$served[$index] ?? -1] ?? null;
            if ($module === null) {
                continue;
            }
            $link = $plan->link($endpoint->linkId);
            yield new Proposal(
                $this->stage(),
                Spot::of($endpoint, "{$node->name} on {$link->name}", 'moduleId'),
                ucfirst($part)." of {$node->name} on {$link->name}",
                null,
                $module->name,
                "The first {$part} of the right kind that no other link uses.",
                [Operation::change(ThingKind::Endpoint, $endpoint->id, ['moduleId' => $module->id])],
            );
        }
    }
}
