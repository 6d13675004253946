<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Ip;

use Rundfunk\Check\HasRules;
use Rundfunk\Medium\Ip\Rule\AddressHandedOut;
use Rundfunk\Medium\Ip\Rule\AddressMissing;
use Rundfunk\Medium\Ip\Rule\AddressOutside;
use Rundfunk\Medium\Ip\Rule\AddressShared;
use Rundfunk\Medium\Ip\Rule\BrokerCramped;
use Rundfunk\Medium\Ip\Rule\BrokerMissing;
use Rundfunk\Medium\Ip\Rule\ClientShared;
use Rundfunk\Medium\Ip\Rule\CommandsRetained;
use Rundfunk\Medium\Ip\Rule\NetworkNameless;
use Rundfunk\Medium\Ip\Rule\NoLastWill;
use Rundfunk\Medium\Ip\Rule\PresenceLate;
use Rundfunk\Medium\Ip\Rule\StateForgotten;
use Rundfunk\Medium\Ip\Rule\ToggleTwice;
use Rundfunk\Medium\Ip\Rule\TooManyStations;
use Rundfunk\Medium\Ip\Rule\TopicInvalid;
use Rundfunk\Medium\Ip\Rule\TopicShared;

/** Its rules, in the order in which their findings are listed. */
final readonly class IpRules implements HasRules
{
    public function rules(): array
    {
        return [
            new AddressMissing, new AddressOutside, new AddressHandedOut, new AddressShared, new ClientShared, new NetworkNameless, new BrokerMissing, new BrokerCramped, new TopicInvalid, new TopicShared,
            new CommandsRetained, new StateForgotten, new NoLastWill, new ToggleTwice, new PresenceLate, new TooManyStations,
        ];
    }
}
