<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\Cellular\Sms\TextLength;
use Rundfunk\Plan\OutputKind;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Shape\Values;

/** A message of ours that takes more than one part, or an alphabet of seventy. */
final readonly class TextTooLong extends CellularRule implements LooksNearby
{
    public function key(): string
    {
        return 'cell-text-too-long';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->outputs() as $output) {
            $words = $output->kind === OutputKind::Message ? (new Values($output->settings))->text('words') : '';
            $length = TextLength::of($words);
            if ($length->parts === 1 && $length->encoding === 'gsm7') {
                continue;
            }
            $node = $plan->node($output->nodeId);
            yield new Finding(
                $this->key(),
                Severity::Advice,
                $length->parts > 1 ? "{$output->name} takes {$length->parts} texts" : "{$output->name} needs the long alphabet",
                Subject::of($output, "{$node->name}, {$output->name}", 'words'),
                ['units' => $length->units, 'parts' => $length->parts, 'encoding' => $length->encoding],
                $length->encoding === 'ucs2'
                    ? 'A letter in it is not in the network\'s own alphabet, so that a text holds 70 instead of 160, and plain text mode cannot send it.'
                    : "{$length->units} units where one text holds 160: parts come in any order, and each costs.",
                'Shorten it, and keep to plain letters.',
            );
        }
    }
}
