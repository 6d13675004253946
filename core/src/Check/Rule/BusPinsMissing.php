<?php

declare(strict_types=1);

namespace Rundfunk\Check\Rule;

use Rundfunk\Catalogue\BoardPin;
use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;

/** A module needs a bus whose pins the board lacks, or has given away. */
final readonly class BusPinsMissing implements LooksNearby
{
    public function key(): string
    {
        return 'bus-pins-missing';
    }

    public function reads(): array
    {
        return WiredPins::kinds();
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (LeftOver::of($plan, $knowledge->catalogue) as ['node' => $node, 'board' => $board, 'demand' => $demand]) {
            if ($demand->busLine === null) {
                continue;
            }
            ['module' => $module, 'terminal' => $terminal] = $demand->wants[0];
            $able = array_filter($board->pins, static fn (BoardPin $pin): bool => $pin->serves($terminal->needs));
            $names = array_map(static fn (BoardPin $pin): string => $pin->name, array_values($able));
            yield new Finding(
                $this->key(),
                Severity::Fault,
                "{$module->name} of {$node->name} cannot have its bus",
                Subject::of($module, "{$node->name}, {$module->name}"),
                ['terminal' => $terminal->name, 'pins' => $names],
                $names === []
                    ? "{$terminal->name} needs ".strtoupper($terminal->needs).", which the {$board->name} does not have."
                    : "{$terminal->name} can only go on ".implode(' or ', $names).', and something fixed is there already.',
                $names === [] ? 'Choose another board for this node.' : 'Free '.implode(' or ', $names).': bus pins cannot be chosen, other pins can.',
                null,
                [$module->id, $terminal->name],
            );
        }
    }
}
