<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Infrared\Infrared;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Medium\Infrared\ValueLine;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Operation;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;
use Rundfunk\Plan\Spot;

/** A function with codes for some of its values and not for others. */
#[Finds('ir-set-incomplete', WorkStep::Nodes)]
final readonly class SetIncomplete extends InfraredRule implements OutputRule
{
    /** As many as are named one by one. */
    private const NAMED = 6;

    public function check(Output $output, Look $look): iterable
    {
        $node = $look->plan->node($output->nodeId);
        if ($node->kind !== NodeKind::Fixture || ! self::isOnInfrared($look->plan, $node)) {
            return [];
        }
        $codes = array_values(array_filter($look->plan->keyCodesTo($output), static fn (KeyCode $code): bool => $code->action === Action::Set));
        $missing = array_values(array_diff($output->span()?->values() ?? [], array_map(static fn (KeyCode $code): ?int => $code->value, $codes)));

        return $codes === [] || $missing === [] ? [] : [$this->finding($look->plan, $node, $output, $codes, $missing)];
    }

    private static function isOnInfrared(Plan $plan, Node $node): bool
    {
        foreach ($plan->endpointsOf($node) as $endpoint) {
            if ($plan->link($endpoint->linkId)->medium === Infrared::KEY) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  non-empty-list<KeyCode>  $codes
     * @param  non-empty-list<int>  $missing
     */
    private function finding(Plan $plan, Node $node, Output $output, array $codes, array $missing): Finding
    {
        $anyValue = array_filter($plan->routesTo($output), static fn (Route $route): bool => $route->action === Action::Set && $route->value === null);
        $named = implode(', ', array_slice($missing, 0, self::NAMED)).(count($missing) > self::NAMED ? ' and '.(count($missing) - self::NAMED).' more' : '');
        $operations = $this->filled($plan, $node, $output, $codes, $missing);

        return Finding::of(
            $anyValue === [] ? Severity::Advice : Severity::Warning,
            "{$output->name} of {$node->name} has no code for {$named}",
            Spot::of($output, "{$node->name}, {$output->name}"),
            $anyValue === [] ? 'The other values are learned; these are gaps in the grid.' : 'A control that says any value is routed to it: at these nothing would be sent, and it would go on as it was.',
            $operations === null
                ? 'Learn the missing ones, or correct what it goes to.'
                : 'The learned commands count up evenly with the value, so the missing ones can be worked out. Try each on the thing itself before you trust it.',
            $operations === null ? null : new Fix('Work out '.Figures::counted(count($missing), 'code'), ...$operations),
            numbers: ['missing' => count($missing), 'known' => count($codes)],
        );
    }

    /**
     * @param  non-empty-list<KeyCode>  $codes
     * @param  non-empty-list<int>  $missing
     * @return list<Operation>|null null when nothing tells what they are, or one of them is taken
     */
    private function filled(Plan $plan, Node $node, Output $output, array $codes, array $missing): ?array
    {
        $line = ValueLine::through($codes);
        if ($line === null) {
            return null;
        }
        $model = $codes[0];
        $order = max([0, ...array_map(static fn (KeyCode $code): int => $code->order, $plan->keyCodesOf($node))]);
        $operations = [];
        foreach ($missing as $value) {
            $command = $line->command($value);
            $code = $command === null ? null : new KeyCode(
                $plan->newId('worked-out', "{$output->id} {$value}"), $node->id, "{$output->name} {$value}", $model->protocol, $model->address, $command, null, $model->carrierHz, '', $model->format,
                outputId: $output->id, action: Action::Set, order: ++$order, value: $value,
            );
            if ($code === null || IrCodes::signal($code, $this->protocols) === null || $this->isTaken($plan, $node, $code)) {
                return null;
            }
            $operations[] = Operation::add($code);
        }

        return $operations;
    }

    private function isTaken(Plan $plan, Node $node, KeyCode $code): bool
    {
        foreach ($plan->keyCodesOf($node) as $other) {
            if (IrCodes::same($code, $other, $this->protocols)) {
                return true;
            }
        }

        return false;
    }
}
