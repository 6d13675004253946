<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Learn\LearnsCodes;
use Rundfunk\Medium\Media;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Shape\Schema;

/** What each bought appliance or toy can be told, as a grid: a row a function, a column an action or value, a code in each cell. */
final readonly class CodeGrids
{
    /** A grid wider than this shows only what is learned or asked for. */
    private const WIDEST = 64;

    /**
     * @param  list<Node>|null  $nodes  only these; null for all
     * @return list<array<string, mixed>>
     */
    public static function of(Plan $plan, Media $media, ?array $nodes = null): array
    {
        $grids = [];
        foreach ($nodes ?? $plan->nodes() as $node) {
            $functions = $node->kind === NodeKind::Fixture ? $plan->outputsOf($node) : [];
            $columns = self::columns($plan, $functions);
            if ($columns !== []) {
                $medium = self::medium($plan, $node, $media);
                $grids[] = [
                    'nodeId' => $node->id,
                    'columns' => array_map(static fn (array $column): array => [...$column, 'label' => self::label($column)], $columns),
                    'rows' => array_map(static fn (Output $output): array => self::row($plan, $output, $columns, $medium), $functions),
                ];
            }
        }

        return $grids;
    }

    /** @return array<string, mixed> */
    public static function schema(): array
    {
        return Schema::object([
            'nodeId' => Schema::text(),
            'columns' => Schema::listOf(Schema::object(['action' => Schema::text(), 'value' => Schema::orNull(Schema::whole()), 'label' => Schema::text()])),
            'rows' => Schema::listOf(Schema::object([
                'outputId' => Schema::text(), 'name' => Schema::text(), 'channel' => Schema::orNull(Schema::text()),
                'cells' => Schema::listOf(Schema::object([
                    'codeId' => Schema::orNull(Schema::text()), 'says' => Schema::orNull(Schema::text()), 'wanted' => Schema::flag(), 'asked' => Schema::flag(),
                ])),
            ])),
        ]);
    }

    /**
     * @param  list<Output>  $functions
     * @return list<array{action: Action, value: int|null}> whatever any of them can be told, plain actions first, then values from low to high
     */
    private static function columns(Plan $plan, array $functions): array
    {
        $found = [];
        $span = [];
        foreach ($functions as $output) {
            foreach ([...$plan->keyCodesTo($output), ...array_filter($plan->routesTo($output), static fn (Route $route): bool => ! $route->action->takesValue() || $route->value !== null)] as $thing) {
                if ($thing->action !== null) {
                    $found[] = ['action' => $thing->action, 'value' => $thing->action->takesValue() ? $thing->value : null];
                }
            }
            foreach ($output->span()?->values() ?? [] as $value) {
                $span[$value] = ['action' => Action::Set, 'value' => $value];
            }
        }
        $columns = count($span) > self::WIDEST ? $found : [...$found, ...array_values($span)];
        $place = array_flip(array_map(static fn (Action $action): string => $action->value, Action::cases()));
        usort($columns, static fn (array $one, array $other): int => [$one['action'] === Action::Set, $place[$one['action']->value], $one['value']] <=> [$other['action'] === Action::Set, $place[$other['action']->value], $other['value']]);
        $once = [];
        foreach ($columns as $column) {
            $once[self::label($column)] = $column;
        }

        return array_values($once);
    }

    /**
     * @param  list<array{action: Action, value: int|null}>  $columns
     * @return array<string, mixed>
     */
    private static function row(Plan $plan, Output $output, array $columns, ?LearnsCodes $medium): array
    {
        $span = $output->span();

        return [
            'outputId' => $output->id, 'name' => $output->name, 'channel' => $output->channel,
            'cells' => array_map(static function (array $column) use ($plan, $output, $span, $medium): array {
                $code = array_values(array_filter($plan->keyCodesTo($output), static fn (KeyCode $one): bool => $one->action === $column['action'] && $one->value === $column['value']))[0] ?? null;
                $asked = array_filter($plan->routesTo($output), static fn (Route $route): bool => $route->action === $column['action'] && ($route->value === $column['value'] || ($route->value === null && $route->action === Action::Set)));

                return [
                    'codeId' => $code?->id,
                    'says' => $code === null || $medium === null ? null : $medium->inShort($code),
                    'wanted' => $asked !== [] || ($column['action'] === Action::Set && $column['value'] !== null && $span?->holds($column['value']) === true),
                    'asked' => $asked !== [],
                ];
            }, $columns),
        ];
    }

    private static function medium(Plan $plan, Node $node, Media $media): ?LearnsCodes
    {
        foreach ($plan->endpointsOf($node) as $endpoint) {
            $medium = $media->offering(LearnsCodes::class, $plan->link($endpoint->linkId)->medium);
            if ($medium !== null) {
                return $medium;
            }
        }

        return null;
    }

    /** @param  array{action: Action, value: int|null}  $column */
    private static function label(array $column): string
    {
        return match (true) {
            $column['value'] === null => $column['action']->value,
            $column['action'] === Action::Set => (string) $column['value'],
            default => sprintf('%s %+d', $column['action']->value, $column['value']),
        };
    }
}
