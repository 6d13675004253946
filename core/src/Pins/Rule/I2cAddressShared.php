<?php

declare(strict_types=1);

namespace Rundfunk\Pins\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Look;
use Rundfunk\Check\NodeRule;
use Rundfunk\Check\WorkStep;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Spot;

/** Two modules of one address on one I²C bus: both answer. */
#[Finds('i2c-address-shared', WorkStep::PinsAndPower)]
final readonly class I2cAddressShared implements NodeRule
{
    public function check(Node $node, Look $look): iterable
    {
        $first = [];
        $wired = [];
        foreach ($look->wiresOf($node) as $wire) {
            $address = $look->catalogue->classOf($wire->module)->i2cAddress;
            if ($wire->terminal->needs !== 'i2c.sda' || $address === null) {
                continue;
            }
            if ($wire->pin?->serves($wire->terminal->needs) === true) {
                $wired[$wire->module->id] = true;
            }
            $other = $first["{$wire->use->pin} {$address}"] ??= $wire;
            if ($other->module->id === $wire->module->id) {
                continue;
            }
            yield self::shared($node, $other->module, $wire->module, $address, $wire->at());
        }
        yield from self::inevitable($node, $look, $wired);
    }

    /**
     * More that answer to one address than the board has buses: wherever they are wired, two are on one.
     *
     * @param  array<string, true>  $wired  ids of modules that are on a bus
     * @return iterable<Finding>
     */
    private static function inevitable(Node $node, Look $look, array $wired): iterable
    {
        $alike = [];
        foreach ($look->plan->modulesOf($node) as $module) {
            $address = $look->catalogue->classOf($module)->i2cAddress;
            if ($address !== null) {
                $alike[$address][] = $module;
            }
        }
        // Nearly always there is nothing to count buses for.
        $alike = array_filter($alike, static fn (array $modules): bool => count($modules) > 1);
        $buses = $alike === [] ? 0 : count($look->board($node)?->buses('i2c') ?? []);
        foreach ($buses === 0 ? [] : $alike as $address => $modules) {
            foreach (array_slice($modules, $buses) as $module) {
                if (! isset($wired[$module->id])) {
                    yield self::shared($node, $modules[0], $module, $address, Spot::of($module, "{$node->name}, {$module->name}", 'class'));
                }
            }
        }
    }

    private static function shared(Node $node, Module $first, Module $second, int $address, Spot $at): Finding
    {
        return Finding::fault(
            "{$first->name} and {$second->name} of {$node->name} have one address on one bus",
            $at,
            sprintf('Both answer to 0x%02X, at once: what is read is the two over each other.', $address),
            'Solder the other address on one of them, where it has such a bridge; else put it on another bus.',
            numbers: ['address' => $address],
            about: [$first->id, $second->id],
        );
    }
}
