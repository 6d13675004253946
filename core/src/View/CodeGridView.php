<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Knowledge;
use Rundfunk\Learn\LearnsCodes;
use Rundfunk\Medium\Media;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\View\Shown\CodeGrid;
use Rundfunk\View\Shown\GridCell;
use Rundfunk\View\Shown\GridColumn;
use Rundfunk\View\Shown\GridRow;

/** What a bought appliance or toy can be told, as a grid: a row a function, a column an action or value, a code in each cell. */
final readonly class CodeGridView implements View
{
    /** A grid wider than this shows only what is learned or asked for. */
    private const WIDEST = 64;

    public function key(): string
    {
        return 'code-grid';
    }

    public function owner(): string
    {
        return Node::class;
    }

    public function shape(): string
    {
        return CodeGrid::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): ?CodeGrid
    {
        $node = $plan->node($of);
        $functions = $node->kind === NodeKind::Fixture ? $plan->outputsOf($node) : [];
        $columns = self::columns($plan, $functions);
        $codes = self::codes($plan, $node, $knowledge->media);

        return $columns === [] ? null : new CodeGrid($columns, array_map(static fn (Output $output): GridRow => self::row($plan, $output, $columns, $codes), $functions));
    }

    /**
     * @param  list<Output>  $functions
     * @return list<GridColumn> whatever any of them can be told, plain actions first, then values from low to high
     */
    private static function columns(Plan $plan, array $functions): array
    {
        $found = [];
        $span = [];
        foreach ($functions as $output) {
            foreach ([...$plan->keyCodesTo($output), ...array_filter($plan->routesTo($output), static fn (Route $route): bool => ! $route->action->takesValue() || $route->value !== null)] as $thing) {
                if ($thing->action !== null) {
                    $found[] = self::column($thing->action, $thing->action->takesValue() ? $thing->value : null);
                }
            }
            foreach ($output->span()?->values() ?? [] as $value) {
                $span[$value] = self::column(Action::Set, $value);
            }
        }
        $columns = count($span) > self::WIDEST ? $found : [...$found, ...array_values($span)];
        $place = array_flip(array_map(static fn (Action $action): string => $action->value, Action::cases()));
        usort($columns, static fn (GridColumn $one, GridColumn $other): int => [$one->action === Action::Set, $place[$one->action->value], $one->value] <=> [$other->action === Action::Set, $place[$other->action->value], $other->value]);
        $once = [];
        foreach ($columns as $column) {
            $once[$column->label] = $column;
        }

        return array_values($once);
    }

    private static function column(Action $action, ?int $value): GridColumn
    {
        return new GridColumn($action, $value, match (true) {
            $value === null => $action->value,
            $action === Action::Set => (string) $value,
            default => sprintf('%s %+d', $action->value, $value),
        });
    }

    /** @param  list<GridColumn>  $columns */
    private static function row(Plan $plan, Output $output, array $columns, ?LearnsCodes $codes): GridRow
    {
        return new GridRow($output->id, $output->name, $output->channel, array_map(static fn (GridColumn $column): GridCell => self::cell($plan, $output, $column, $codes), $columns));
    }

    private static function cell(Plan $plan, Output $output, GridColumn $column, ?LearnsCodes $codes): GridCell
    {
        $code = array_values(array_filter($plan->keyCodesTo($output), static fn (KeyCode $one): bool => $one->action === $column->action && $one->value === $column->value))[0] ?? null;
        $asked = array_filter($plan->routesTo($output), static fn (Route $route): bool => $route->action === $column->action && ($route->value === $column->value || ($route->value === null && $route->action === Action::Set))) !== [];

        return new GridCell(
            $code?->id,
            $code === null ? null : $codes?->inShort($code),
            $asked || ($column->action === Action::Set && $column->value !== null && $output->span()?->holds($column->value) === true),
            $asked,
        );
    }

    private static function codes(Plan $plan, Node $node, Media $media): ?LearnsCodes
    {
        foreach ($plan->endpointsOf($node) as $endpoint) {
            $codes = $media->offering(LearnsCodes::class, $plan->link($endpoint->linkId)->medium);
            if ($codes !== null) {
                return $codes;
            }
        }

        return null;
    }
}
