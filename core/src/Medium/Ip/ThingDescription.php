<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Plan\Link;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\Values;

/** A node as a Thing that others can read. Source: W3C Web of Things Thing Description 1.1, with forms for MQTT. */
final readonly class ThingDescription
{
    public static function of(Plan $plan, Link $link, Node $node): string
    {
        $properties = [];
        $actions = [];
        foreach (Topics::ofNode($plan, $link, $node) as $topic) {
            $name = Topics::slug($topic->what);
            match ($topic->kind) {
                TopicKind::Presence => $properties['presence'] = self::observed($plan, $link, $topic, 'Whether it is there', ['type' => 'string', 'enum' => ['online', 'offline']]),
                TopicKind::Reading => $properties[$name] = self::observed($plan, $link, $topic, $topic->what, ['type' => 'number', ...self::unit($plan, $topic)]),
                TopicKind::State => $properties[$name] = self::observed($plan, $link, $topic, $topic->what, ['type' => 'string', 'pattern' => Vocabulary::of($plan->output($topic->thingId))->statePattern]),
                TopicKind::Command => $actions["{$name}-set"] = [
                    'title' => "Work {$topic->what}",
                    'input' => ['type' => 'string', 'description' => $topic->payload, 'pattern' => Vocabulary::of($plan->output($topic->thingId))->commandPattern],
                    'safe' => false,
                    'idempotent' => false,
                    'forms' => [self::form($plan, $link, $topic, 'invokeaction', 'publish')],
                ],
            };
        }
        $description = [
            '@context' => ['https://www.w3.org/2022/wot/td/v1.1', ['mqv' => 'http://www.example.org/mqtt-binding#']],
            '@type' => 'Thing',
            'id' => "urn:rundfunk:node:{$node->id}",
            'title' => $node->name,
            'description' => "{$node->name} of {$plan->properties->name}",
            'securityDefinitions' => ['broker' => ['scheme' => 'basic', 'in' => 'header', 'description' => 'As the broker asks; nothing of it is kept in the plan.']],
            'security' => ['broker'],
        ];
        if ($properties !== []) {
            $description['properties'] = $properties;
        }
        if ($actions !== []) {
            $description['actions'] = $actions;
        }

        return json_encode($description, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n";
    }

    /**
     * @param  array<string, mixed>  $data
     * @return array<string, mixed>
     */
    private static function observed(Plan $plan, Link $link, Topic $topic, string $title, array $data): array
    {
        return ['title' => $title, ...$data, 'readOnly' => true, 'observable' => true, 'forms' => [self::form($plan, $link, $topic, 'observeproperty', 'subscribe')]];
    }

    /** @return array<string, mixed> */
    private static function form(Plan $plan, Link $link, Topic $topic, string $operation, string $packet): array
    {
        $broker = IpEnds::brokers($plan, $link)[0] ?? null;
        $host = ($broker === null ? null : IpEnds::address($plan, $broker)?->value) ?? 'broker.invalid';
        $port = IpSettings::of($link)->brokerPort;

        return [
            'href' => "mqtt://{$host}:{$port}/".implode('/', array_map(rawurlencode(...), explode('/', $topic->name))),
            'contentType' => 'text/plain',
            'op' => [$operation],
            'mqv:controlPacket' => $packet,
            'mqv:qos' => (string) $topic->qos,
            'mqv:retain' => $topic->retained,
        ];
    }

    /** @return array<string, string> */
    private static function unit(Plan $plan, Topic $topic): array
    {
        $unit = (new Values($plan->control($topic->thingId)->settings))->text('unit');

        return $unit === '' ? [] : ['unit' => $unit];
    }
}
