<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Check\Finding;
use Rundfunk\Check\LooksNearby;
use Rundfunk\Check\Severity;
use Rundfunk\Check\Subject;
use Rundfunk\Knowledge;
use Rundfunk\Medium\PacketRadio\PacketPipes;
use Rundfunk\Medium\PacketRadio\PacketRadio;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Address;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Thing;

/** A link without a channel, a receiver without an address, a sender without a retry delay. */
final readonly class SettingMissing extends PacketRule implements LooksNearby
{
    public function key(): string
    {
        return 'packet-setting-missing';
    }

    public function check(Plan $plan, Knowledge $knowledge): iterable
    {
        foreach ($plan->linksOver(PacketRadio::KEY) as $link) {
            $settings = PacketSettings::of($link);
            if ($settings->channel === null) {
                yield $this->finding($link, $link->name, 'channel', "{$link->name} has no channel yet", 'Nothing can be flashed until both ends have the same one.');
            }
            foreach (self::receivers($plan, $link) as $end) {
                $has = count(array_filter($plan->addressesOf($end), static fn (Address $address): bool => $address->value !== null));
                $needed = min(PacketPipes::COUNT, PacketPipes::needed($plan, $end));
                if ($has < $needed) {
                    $name = $plan->node($end->nodeId)->name;
                    yield $this->finding($end, "{$name} on {$link->name}", 'address', $needed === 1 ? "{$name} has no address on {$link->name} yet" : "{$name} listens on {$has} of {$needed} addresses on {$link->name}", 'Nobody can send to it.');
                }
            }
            foreach ($settings->acknowledge ? self::senders($plan, $link) : [] as $end) {
                if (($end->settings['retryDelayUs'] ?? null) === null) {
                    $name = $plan->node($end->nodeId)->name;
                    yield $this->finding($end, "{$name} on {$link->name}", 'retryDelayUs', "{$name} has no retry delay on {$link->name} yet", 'Left as the part powers up, it may be too short for the acknowledge.');
                }
            }
        }
    }

    private function finding(Thing $thing, string $where, string $field, string $title, string $detail): Finding
    {
        return new Finding($this->key(), Severity::Warning, $title, Subject::of($thing, $where, $field), [], $detail, 'Assign proposes one.');
    }
}
