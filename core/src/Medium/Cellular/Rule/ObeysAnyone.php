<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\Severity;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Cellular\Commands;
use Rundfunk\Medium\Cellular\Modem;
use Rundfunk\Plan\Spot;

/** A modem that obeys whoever has its number. */
#[Finds('cell-obeys-anyone', WorkStep::Links)]
final readonly class ObeysAnyone implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $modem = Modem::of($look->plan, $end->endpoint, $look->catalogue);
        if ($modem === null) {
            return [];
        }
        $commands = Commands::to($look->plan, $modem->endpoint);
        if (! $modem->end->obeysAnyone || $commands === []) {
            return [];
        }
        $dangerous = array_filter($commands, static fn (array $one): bool => $one['output']->isDangerous()) !== [];

        return [Finding::of(
            $dangerous ? Severity::Danger : Severity::Warning,
            "{$modem->node->name} obeys anyone",
            Spot::of($modem->endpoint, $modem->where(), 'obeys'),
            'Numbers are dialled by mistake and by machines that try them all: each of them switches what you thought was yours.',
            'Let it obey those on its list.',
            Fix::settings('Obey those on the list', $modem->endpoint, ['obeys' => 'listed']),
        )];
    }
}
