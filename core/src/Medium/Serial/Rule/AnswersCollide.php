<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\Serial\Levels;
use Rundfunk\Medium\Serial\Returning;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Medium\Serial\Topology;
use Rundfunk\Medium\Serial\Trial;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Several boxes drive the one line on which they answer. */
#[Finds('serial-answers-collide', WorkStep::Links)]
final readonly class AnswersCollide implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $line = SerialLine::of($look->plan, $link);
        if ($line->settings->topology !== Topology::Polled || $line->settings->levels !== Levels::Logic || $line->settings->returning !== Returning::Joined || count($line->ends) < 3) {
            return;
        }
        yield Finding::fault(
            'The answers of '.Figures::counted(count($line->ends) - 1, 'box')." on {$link->name} are simply joined",
            Spot::of($link, $link->name, 'returning'),
            'A serial line is high while nobody speaks: each box drives it high against the one that answers, and two pins are a short circuit.',
            'A diode at each box, its cathode to the box, and a pull-up where the one that asks listens; or let each box make its pin an input while it is not asked; or RS-485, which is made for this.',
            Trial::settings('A Schottky diode at each box', $look, $link, ['returning' => Returning::Schottky->value]),
            numbers: ['boxes' => count($line->ends) - 1],
            about: [$link->id],
        )->orElse(Trial::settings('Each lets go of its pin', $look, $link, ['returning' => Returning::LetGo->value]));
    }
}
