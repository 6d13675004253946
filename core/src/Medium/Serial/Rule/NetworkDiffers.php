<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Serial\Askers;
use Rundfunk\Medium\Serial\Returning;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\Topology;
use Rundfunk\Medium\Serial\Trial;

/** A network that gathers the answers of several boxes hangs where nothing comes together, or has too few inputs, or the line does not know of it. */
#[Finds('serial-network-differs', WorkStep::Links)]
final readonly class NetworkDiffers implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $gathers = Returning::tryFrom((string) ($end->class->figures['returning'] ?? ''));
        if ($gathers === null || $end->module === null) {
            return;
        }
        $line = SerialLine::of($look->plan, $end->link);
        $inputs = (int) ($end->class->figures['gathers'] ?? 0);
        $boxes = count($line->ends) - 1;
        $why = match (true) {
            $line->settings->topology !== Topology::Polled || Askers::likely($look->plan, $line)?->id !== $end->endpoint->id => ["{$end->module->name} of {$end->node->name} gathers answers that nobody sends it", 'It belongs where the answers of several boxes come together: at who asks them.', 'Put it at who asks, or take plain wires here.', null],
            $boxes > $inputs => ["{$boxes} boxes answer into {$end->module->name} of {$end->node->name}, which has ".Figures::counted($inputs, 'input'), 'What has no input of its own is joined to another, and two pins drive against each other.', 'A second network, or RS-485.', null],
            $line->settings->returning !== $gathers => ["{$end->link->name} is reckoned with answers that are {$line->settings->returning->words()}, and {$end->module->name} of {$end->node->name} has {$gathers->words()}", 'What a low loses on its way decides whether it still is one.', 'Say of the line what is there.', Trial::settings('There is '.$gathers->words(), $look, $end->link, ['returning' => $gathers->value])],
            default => null,
        };
        if ($why !== null) {
            yield Finding::fault($why[0], $end->at('moduleId'), $why[1], $why[2], $why[3], numbers: ['boxes' => $boxes, 'inputs' => $inputs], about: [$end->link->id]);
        }
    }
}
