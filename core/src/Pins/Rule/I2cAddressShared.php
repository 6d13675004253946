<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Node;

/** Two modules of one address on one I²C bus: both answer. */
#[Finds('i2c-address-shared', WorkStep::PinsAndPower)]
final readonly class I2cAddressShared implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        $first = [];
        foreach ($look->wiresOf($node) as $wire) {
            $address = $look->catalogue->classOf($wire->module)->i2cAddress;
            if ($wire->terminal->needs !== 'i2c.sda' || $address === null) {
                continue;
            }
            $other = $first["{$wire->use->pin} {$address}"] ??= $wire;
            if ($other->module->id === $wire->module->id) {
                continue;
            }
            yield Finding::fault(
                "{$other->module->name} and {$wire->module->name} of {$node->name} have one address on one bus",
                $wire->at(),
                sprintf('Both answer to 0x%02X, at once: what is read is the two over each other.', $address),
                'Solder the other address on one of them, where it has such a bridge; else put it on another bus.',
                numbers: ['address' => $address],
                about: [$other->module->id, $wire->module->id],
            );
        }
    }
}
