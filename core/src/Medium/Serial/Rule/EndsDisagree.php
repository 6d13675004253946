<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Serial\SerialSettings;
use Rundfunk\Medium\Serial\Trial;

/** What must be the same at both ends is not. */
#[Finds('serial-ends-disagree', WorkStep::Links)]
final readonly class EndsDisagree implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $disagreeing = $end->endpoint->unlike($end->link, SerialSettings::SHARED);
        if ($disagreeing === []) {
            return;
        }
        $said = implode(', ', array_map(SerialSettings::words(...), array_keys($disagreeing), $disagreeing));
        $asked = implode(', ', array_map(static fn (string $setting): string => SerialSettings::words($setting, $end->link->settings[$setting]), array_keys($disagreeing)));
        yield Finding::fault(
            "{$end->node->name} is set to {$said}, {$end->link->name} to {$asked}",
            $end->at(array_key_first($disagreeing)),
            'Characters arrive as others or not at all; nothing says so but silence.',
            'Set it as the line is, or the line as it is.',
            Fix::settings("Set {$end->node->name} as the line: {$asked}", $end->endpoint, array_map(static fn (): null => null, $disagreeing)),
            numbers: ['settings' => array_keys($disagreeing)],
        )->orElse(Trial::settings("Set {$end->link->name} to {$said}", $look, $end->link, $disagreeing));
    }
}
