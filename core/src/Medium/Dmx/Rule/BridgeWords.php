<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Dmx\BridgeForm;
use Rundfunk\Medium\Dmx\BridgeFormRefused;
use Rundfunk\Medium\Dmx\DmxEnd;
use Rundfunk\Medium\Dmx\DmxSettings;

/** Words for a bridge that it could not read. */
#[Finds('dmx-bridge-words', WorkStep::Links)]
final readonly class BridgeWords implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        $settings = DmxEnd::of($end->endpoint);
        if (! $settings->bridges || DmxSettings::of($end->link)->isNetwork || ! $end->endpoint->role->sends()) {
            return;
        }
        try {
            BridgeForm::from($settings->template);
        } catch (BridgeFormRefused $refused) {
            yield Finding::fault(
                "The bridge of {$end->node->name} cannot read \"{$settings->template}\"",
                $end->at('template'),
                $refused->getMessage(),
                'Write it as the bridge wants it: {slot} and {value} stand for the two numbers, all else is sent as it is, \\r and \\n for the end of a line.',
                Fix::settings('Take '.BridgeForm::USUAL, $end->endpoint, ['template' => BridgeForm::USUAL]),
                about: [$end->endpoint->id],
            );
        }
    }
}
