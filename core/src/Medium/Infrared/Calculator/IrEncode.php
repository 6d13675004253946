<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Calculator;

use Rundfunk\Calculator\Destination;
use Rundfunk\Calculator\FitsPlans;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Infrared\Infrared;
use Rundfunk\Medium\Infrared\IrCommand;
use Rundfunk\Medium\Infrared\Protocol;
use Rundfunk\Medium\Infrared\Protocols;

final readonly class IrEncode implements FitsPlans
{
    public function name(): string
    {
        return 'ir-encode';
    }

    public function topic(): string
    {
        return 'Infrared';
    }

    public function title(): string
    {
        return 'Infrared: encode';
    }

    public function plainly(): string
    {
        return 'Marks and spaces of a command';
    }

    public function formula(): string
    {
        return 'NEC and SIRC by the length of spaces or marks, RC-5 and RC-6 in bi-phase';
    }

    public function source(): string
    {
        return 'As the Linux kernel\'s remote-control core has the protocols; checked against ir-ctl';
    }

    public function inputs(): array
    {
        return [
            Quantity::choice('protocol', array_map(static fn (Protocol $one): string => $one->key(), Protocols::standard()->all()), 'Protocol.')->example('nec'),
            Quantity::whole('address', null, 'Which device it is for.')->example('4'),
            Quantity::whole('command', null, 'Which command.')->example('8'),
            Quantity::flag('toggle', 'The bit that changes at each press, RC-5 and RC-6 only.')->optional(),
        ];
    }

    public function outputs(): array
    {
        return [
            Quantity::whole('carrier_hz', 'Hz', 'Carrier.'),
            Quantity::numbers('timings_us', 'µs', 'Marks and spaces, mark first.'),
            Quantity::number('duration_us', 'µs', 'From the first mark to the end of the last.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $protocol = Protocols::standard()->named($inputs->text('protocol'));
        $signal = $protocol->encode(new IrCommand($protocol->key(), $inputs->whole('address'), $inputs->whole('command'), $inputs->flagOr('toggle', false)));

        return ['carrier_hz' => $protocol->carrierHz(), 'timings_us' => $signal->microseconds(), 'duration_us' => $signal->durationNs() / 1000];
    }

    public function destination(): Destination
    {
        return Destination::code(Infrared::KEY, ['protocol' => 'protocol', 'address' => 'address', 'command' => 'command']);
    }
}
