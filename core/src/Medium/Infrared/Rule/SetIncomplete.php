<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Edit\Operation;
use Rundfunk\Figures;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Infrared\Infrared;
use Rundfunk\Medium\Infrared\IrCodes;
use Rundfunk\Medium\Infrared\ValueLine;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\KeyCode;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Route;

/** A function with codes for some of its values and not for others. */
final readonly class SetIncomplete extends InfraredRule implements LooksNearby
{
    /** As many as are named one by one. */
    private const NAMED = 6;

    public function key(): string
    {
        return 'ir-set-incomplete';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(Infrared::KEY) as $link) {
            foreach ($plan->endpointsOn($link) as $endpoint) {
                $node = $plan->node($endpoint->nodeId);
                foreach ($node->kind === NodeKind::Fixture ? $plan->outputsOf($node) : [] as $output) {
                    $codes = array_values(array_filter($plan->keyCodesTo($output), static fn (KeyCode $code): bool => $code->action === Action::Set));
                    $missing = $codes === [] ? [] : array_values(array_diff(
                        $output->span()?->values() ?? [],
                        array_map(static fn (KeyCode $code): ?int => $code->value, $codes),
                    ));
                    if ($missing !== []) {
                        yield $this->finding($plan, $node, $output, $codes, $missing);
                    }
                }
            }
        }
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

        return new Finding(
            $this->key(),
            $anyValue === [] ? Severity::Advice : Severity::Warning,
            "{$output->name} of {$node->name} has no code for {$named}",
            Subject::of($output, "{$node->name}, {$output->name}"),
            ['missing' => count($missing), 'known' => count($codes)],
            $anyValue === [] ? 'The other values are learned; these are gaps in the grid.' : 'A control that says any value is routed to it: at these nothing would be sent, and it would go on as it was.',
            $operations === null
                ? 'Learn the missing ones, or correct what it goes to.'
                : 'The learned commands count up evenly with the value, so the missing ones can be worked out. Try each on the thing itself before you trust it.',
            $operations === null ? null : new Fix('Work out '.Figures::counted(count($missing), 'code'), ...$operations),
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
