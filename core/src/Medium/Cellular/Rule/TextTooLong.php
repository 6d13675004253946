<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\OutputRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Cellular\Sms\TextLength;
use Rundfunk\Plan\Output;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Spot;
use Rundfunk\Shape\Values;

/** A message of ours that takes more than one part, or an alphabet of seventy. */
#[Finds('cell-text-too-long', WorkStep::Nodes)]
final readonly class TextTooLong implements OutputRule
{
    public function check(Output $output, Look $look): iterable
    {
        $words = $output->kind === OutputKind::Message ? (new Values($output->settings))->text('words') : '';
        $length = TextLength::of($words);
        if ($length->parts === 1 && $length->encoding === 'gsm7') {
            return [];
        }
        $node = $look->plan->node($output->nodeId);

        return [Finding::advice(
            $length->parts > 1 ? "{$output->name} takes {$length->parts} texts" : "{$output->name} needs the long alphabet",
            Spot::of($output, "{$node->name}, {$output->name}", 'words'),
            $length->encoding === 'ucs2'
                ? 'A letter in it is not in the network\'s own alphabet, so that a text holds 70 instead of 160, and plain text mode cannot send it.'
                : "{$length->units} units where one text holds 160: parts come in any order, and each costs.",
            'Shorten it, and keep to plain letters.',
            numbers: ['units' => $length->units, 'parts' => $length->parts, 'encoding' => $length->encoding],
        )];
    }
}
