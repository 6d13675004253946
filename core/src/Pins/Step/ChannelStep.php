<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Step;

use Rundfunk\Assign\Proposal;
use Rundfunk\Assign\Stage;
use Rundfunk\Assign\Step;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Spot;

/** Which relay channel carries an output, which key a control is. */
final readonly class ChannelStep implements Step
{
    public function stage(): Stage
    {
        return Stage::Channel;
    }

    public function propose(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->nodes() as $node) {
            $taken = [];
            $homeless = [];
            $things = array_values(array_filter(
                [...$plan->outputsOf($node), ...$plan->controlsOf($node)],
                static fn (Control|Output $thing): bool => $thing->kind->isWired() && ! $node->kind->isBought(),
            ));
            usort($things, static fn (Control|Output $a, Control|Output $b): int => $b->pinned <=> $a->pinned);
            foreach ($things as $thing) {
                $channel = self::channelOf($thing);
                $module = $thing->moduleId === null ? null : $plan->module($thing->moduleId);
                $terminal = $module === null || $channel === null ? null : $knowledge->catalogue->classOf($module)->terminal($channel);
                $free = $module !== null && ($terminal?->shared === true || ! isset($taken[$module->id.' '.$channel]));
                $stays = $terminal !== null && $module->nodeId === $node->id && $free && $knowledge->catalogue->classOf($module)->takes($terminal, $thing);
                if ($thing->pinned || $stays) {
                    $taken[$thing->moduleId.' '.$channel] = true;
                } else {
                    $homeless[] = $thing;
                }
            }
            foreach ($homeless as $thing) {
                yield from $this->place($plan, $node, $thing, $taken, $knowledge->catalogue);
            }
        }
    }

    /**
     * @param  array<string, true>  $taken
     * @return iterable<Proposal>
     */
    private function place(Plan $plan, Node $node, Control|Output $thing, array &$taken, Catalogue $catalogue): iterable
    {
        foreach ($plan->modulesOf($node) as $module) {
            $class = $catalogue->classOf($module);
            foreach ($class->channels() as $terminal) {
                $place = $module->id.' '.$terminal->name;
                if ((isset($taken[$place]) && ! $terminal->shared) || ! $class->takes($terminal, $thing)) {
                    continue;
                }
                $taken[$place] = true;
                $field = $thing instanceof Output ? 'channel' : 'terminal';
                $before = self::channelOf($thing);
                yield new Proposal(
                    $this->stage(),
                    Spot::of($thing, "{$node->name}, {$thing->name}", $field),
                    "Channel of {$node->name} · {$thing->name}",
                    $before,
                    "{$module->name} {$terminal->name}",
                    $before === null ? 'The first free one of the right kind.' : "{$before} cannot stay: it is taken, or of another kind.",
                    [Operation::change($thing::kind(), $thing->id, ['moduleId' => $module->id, $field => $terminal->name])],
                );

                return;
            }
        }
    }

    private static function channelOf(Control|Output $thing): ?string
    {
        return $thing instanceof Output ? $thing->channel : $thing->terminal;
    }
}
