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
    private IpSettings $settings;

    /** The first levels of every topic. */
    private string $root;

    private function __construct(private Plan $plan, private Link $link)
    {
        $this->settings = IpSettings::of($link);
        $this->root = $this->settings->root === '' ? self::slug($plan->properties->name) : $this->settings->root;
    }

    /** @return list<Topic> node by node */
    public static function of(Plan $plan, Link $link): array
    {
        $all = new self($plan, $link);
        $topics = [];
        foreach ($plan->endpointsOn($link) as $endpoint) {
            array_push($topics, ...$all->under($plan->node($endpoint->nodeId)));
        }

        return $topics;
    }

    /** @return list<Topic> */
    public static function ofNode(Plan $plan, Link $link, Node $node): array
    {
        return (new self($plan, $link))->under($node);
    }

    public static function command(Plan $plan, Link $link, Output $output): string
    {
        return (new self($plan, $link))->base($output).'/set';
    }

    /** @return list<Topic> */
    private function under(Node $node): array
    {
        $settings = $this->settings;
        $base = $this->root.'/'.self::slug($node->name);
        $topics = [new Topic("{$base}/presence", TopicKind::Presence, $node->id, $node->id, $node->name, $settings->qos, true, 'online or offline')];
        foreach ($this->served($node) as $output) {
            $path = $this->base($output);
            $says = Vocabulary::of($output);
            $topics[] = new Topic($path.'/set', TopicKind::Command, $node->id, $output->id, $output->name, $settings->qos, $settings->retainCommands, $says->commands);
            $topics[] = new Topic($path.'/state', TopicKind::State, $node->id, $output->id, $output->name, $settings->qos, $settings->retainState, $says->states);
        }
        foreach ($this->plan->controlsOf($node) as $control) {
            if ($control->kind === ControlKind::Reading) {
                $unit = (new Values($control->settings))->text('unit');
                $topics[] = new Topic("{$base}/".self::slug($control->name), TopicKind::Reading, $node->id, $control->id, $control->name, 0, true, 'a number'.($unit === '' ? '' : " in {$unit}"));
            }
        }

        return $topics;
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
    private function served(Node $node): array
    {
        $served = [];
        foreach ($this->plan->outputsOf($node) as $output) {
            $served[$output->id] = $output;
        }
        foreach ($this->plan->endpointsOf($node) as $endpoint) {
            foreach ($endpoint->linkId === $this->link->id ? $this->plan->hopsTo($endpoint) : [] as $hop) {
                $output = $this->plan->output($this->plan->route($hop->routeId)->outputId);
                $served[$output->id] ??= $output;
            }
        }

        return array_values($served);
    }

    /** An output's own levels, under the node that it is on. */
    private function base(Output $output): string
    {
        return $this->root.'/'.self::slug($this->plan->node($output->nodeId)->name).'/'.self::slug($output->name);
    }
}
