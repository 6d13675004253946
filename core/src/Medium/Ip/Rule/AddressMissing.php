<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip\Rule;

use Rundfunk\Check\End;
use Rundfunk\Check\EndRule;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\Ip\IpEnds;
use Rundfunk\Medium\Ip\IpSettings;

#[Finds('ip-address-missing', WorkStep::Links)]
final readonly class AddressMissing implements EndRule
{
    public function check(End $end, Look $look): iterable
    {
        if (IpEnds::address($look->plan, $end->endpoint)?->value === null) {
            $settings = IpSettings::of($end->link);

            return [Finding::warning(
                "{$end->node->name} has no fixed address on {$end->link->name}",
                $end->at('address'),
                "The {$settings->handsOut()} gives it another one some day, and whoever has the old one speaks to the wrong node.",
                $settings->ownAccessPoint ? 'Assign proposes one: the first of the network for the board that makes it.' : 'Assign proposes one; enter it in the router too.',
            )];
        }

        return [];
    }
}
