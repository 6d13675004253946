<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Medium\PacketRadio\PacketPipes;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;
use Rundfunk\Plan\Thing;

/** A link without a channel, a receiver without an address, a sender without a retry delay. */
#[Finds('packet-setting-missing', WorkStep::Links)]
final readonly class SettingMissing implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        $settings = PacketSettings::of($link);
        if ($settings->channel === null) {
            yield $this->finding($link, $link->name, 'channel', "{$link->name} has no channel yet", 'Nothing can be flashed until both ends have the same one.');
        }
        foreach ($look->plan->receiversOn($link) as $end) {
            $has = count(array_filter($look->plan->addressesOf($end), static fn (Address $address): bool => $address->value !== null));
            $needed = min(PacketPipes::COUNT, PacketPipes::needed($look->plan, $end));
            if ($has < $needed) {
                $name = $look->plan->node($end->nodeId)->name;
                yield $this->finding($end, "{$name} on {$link->name}", 'address', $needed === 1 ? "{$name} has no address on {$link->name} yet" : "{$name} listens on {$has} of {$needed} addresses on {$link->name}", 'Nobody can send to it.');
            }
        }
        foreach ($settings->acknowledge ? $look->plan->sendersOn($link) : [] as $end) {
            if (($end->settings['retryDelayUs'] ?? null) === null) {
                $name = $look->plan->node($end->nodeId)->name;
                yield $this->finding($end, "{$name} on {$link->name}", 'retryDelayUs', "{$name} has no retry delay on {$link->name} yet", 'Left as the part powers up, it may be too short for the acknowledge.');
            }
        }
    }

    private function finding(Thing $thing, string $where, string $field, string $title, string $detail): Finding
    {
        return Finding::warning(
            $title,
            Spot::of($thing, $where, $field),
            $detail,
            'Assign proposes one.',
        );
    }
}
