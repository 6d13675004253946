<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared\Calculator;

use Rundfunk\Calculator\Destination;
use Rundfunk\Calculator\FitsPlans;
use Rundfunk\Calculator\Inputs;
use Rundfunk\Calculator\Quantity;
use Rundfunk\Medium\Infrared\Infrared;
use Rundfunk\Medium\Infrared\Protocol\NecFamily;
use Rundfunk\Medium\Infrared\Protocols;
use Rundfunk\OutOfRange;
use Rundfunk\Signal\Signal;

final readonly class IrDecode implements FitsPlans
{
    public function name(): string
    {
        return 'ir-decode';
    }

    public function topic(): string
    {
        return 'Infrared';
    }

    public function title(): string
    {
        return 'Infrared: decode';
    }

    public function plainly(): string
    {
        return 'What marks and spaces say';
    }

    public function formula(): string
    {
        return 'each length within a quarter of what it should be, after what the receiver adds to marks is taken away';
    }

    public function source(): string
    {
        return 'As the Linux kernel\'s remote-control core has the protocols; the tolerance is common practice';
    }

    public function inputs(): array
    {
        return [Quantity::numbers('timings_us', 'µs', 'Marks and spaces in microseconds, mark first, parted by commas or spaces.')->example(
            '889,889,1778,1778,889,889,889,889,889,889,1778,889,889,889,889,889,889,889,889,889,889,1778,889',
        )];
    }

    public function outputs(): array
    {
        return [
            Quantity::text('protocol', 'Protocol.'),
            Quantity::whole('address', null, 'Which device it is for.'),
            Quantity::whole('command', null, 'Which command.'),
            Quantity::flag('toggle', 'The bit that changes at each press; none in most protocols.'),
        ];
    }

    public function calculate(Inputs $inputs): array
    {
        $signal = Signal::parse($inputs->text('timings_us'));
        $command = Protocols::standard()->decode($signal);
        if ($command === null) {
            throw OutOfRange::because('timings_us', NecFamily::isRepeat($signal)
                ? 'timings_us is the short frame that says "still held": there is no code in it.'
                : 'timings_us fits no protocol that is known here.');
        }

        return ['protocol' => $command->protocol, 'address' => $command->address, 'command' => $command->command, 'toggle' => $command->toggle];
    }

    public function destination(): Destination
    {
        return Destination::code(Infrared::KEY, ['protocol' => 'protocol', 'address' => 'address', 'command' => 'command']);
    }
}
