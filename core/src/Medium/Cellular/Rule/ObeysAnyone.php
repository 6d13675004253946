<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Plan\Plan;

/** A modem that obeys whoever has its number. */
final readonly class ObeysAnyone extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-obeys-anyone';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach (Modem::all($plan, $knowledge->catalogue) as $modem) {
            $commands = Commands::to($plan, $modem->endpoint);
            if (! $modem->end->obeysAnyone || $commands === []) {
                continue;
            }
            $dangerous = array_filter($commands, static fn (array $one): bool => $one['output']->isDangerous()) !== [];
            yield new Finding(
                $this->key(),
                $dangerous ? Severity::Danger : Severity::Warning,
                "{$modem->node->name} obeys anyone",
                Subject::of($modem->endpoint, $modem->where(), 'obeys'),
                [],
                'Numbers are dialled by mistake and by machines that try them all: each of them switches what you thought was yours.',
                'Let it obey those on its list.',
                self::setEnd($modem->endpoint, 'Obey those on the list', ['obeys' => 'listed']),
            );
        }
    }
}
