<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Shape\Values;
use Rundfunk\Text\CNames;

/** Every topic of a link: command and state of each output, each reading, and the presence of each node. */
final readonly class Topics
{
    /** @return list<Topic> node by node */
    public static function of(Plan $plan, Link $link): array
    {
        $topics = [];
        foreach ($plan->endpointsOn($link) as $endpoint) {
            array_push($topics, ...self::ofNode($plan, $link, $plan->node($endpoint->nodeId)));
        }

        return $topics;
    }

    /** @return list<Topic> */
    public static function ofNode(Plan $plan, Link $link, Node $node): array
    {
        $settings = IpSettings::of($link);
        $base = self::base($plan, $link, $node);
        $topics = [new Topic("{$base}/presence", TopicKind::Presence, $node->id, $node->id, $node->name, $settings->qos, true, 'online or offline')];
        foreach (self::served($plan, $link, $node) as $output) {
            $says = Vocabulary::of($output);
            $topics[] = new Topic(self::command($plan, $link, $output), TopicKind::Command, $node->id, $output->id, $output->name, $settings->qos, $settings->retainCommands, $says->commands);
            $topics[] = new Topic(self::outputBase($plan, $link, $output).'/state', TopicKind::State, $node->id, $output->id, $output->name, $settings->qos, $settings->retainState, $says->states);
        }
        foreach ($plan->controlsOf($node) as $control) {
            if ($control->kind === ControlKind::Reading) {
                $unit = (new Values($control->settings))->text('unit');
                $topics[] = new Topic("{$base}/".self::slug($control->name), TopicKind::Reading, $node->id, $control->id, $control->name, 0, true, 'a number'.($unit === '' ? '' : " in {$unit}"));
            }
        }

        return $topics;
    }

    public static function command(Plan $plan, Link $link, Output $output): string
    {
        return self::outputBase($plan, $link, $output).'/set';
    }

    /** What a route's action is as the payload of a command. */
    public static function payload(Route $route): string
    {
        return match ($route->action) {
            Action::Pulse => 'PULSE '.($route->pulseMs ?? 1000),
            Action::Follow, Action::Momentary => 'ON or OFF',
            Action::Set, Action::Step => strtoupper($route->action->value).' '.($route->value ?? 'value'),
            default => strtoupper($route->action->value),
        };
    }

    /** As a level of a topic: small letters, digits and hyphens. */
    public static function slug(string $name): string
    {
        /** @var array<string, string> $slugs the same few names stand in thousands of topics */
        static $slugs = [];

        return $slugs[$name] ??= str_replace('_', '-', strtolower(CNames::upper($name)));
    }

    /** @return list<Output> those that the node works for others on this link: its own, and those it passes commands on to */
    private static function served(Plan $plan, Link $link, Node $node): array
    {
        $served = [];
        foreach ($plan->outputsOf($node) as $output) {
            $served[$output->id] = $output;
        }
        foreach ($plan->endpointsOf($node) as $endpoint) {
            foreach ($endpoint->linkId === $link->id ? $plan->hopsTo($endpoint) : [] as $hop) {
                $output = $plan->output($plan->route($hop->routeId)->outputId);
                $served[$output->id] ??= $output;
            }
        }

        return array_values($served);
    }

    private static function outputBase(Plan $plan, Link $link, Output $output): string
    {
        return self::base($plan, $link, $plan->node($output->nodeId)).'/'.self::slug($output->name);
    }

    private static function base(Plan $plan, Link $link, Node $node): string
    {
        $root = IpSettings::of($link)->root;

        return ($root === '' ? self::slug($plan->properties->name) : $root).'/'.self::slug($node->name);
    }
}
