<?php

declare(strict_types=1);

namespace Rundfunk\Medium\PacketRadio\Rule;

use Rundfunk\Behaviour\Rule\Streams;
use Rundfunk\Check\Finding;
use Rundfunk\Check\Finds;
use Rundfunk\Check\Fix;
use Rundfunk\Check\LinkRule;
use Rundfunk\Check\Look;
use Rundfunk\Check\WorkStep;
use Rundfunk\Figures;
use Rundfunk\Medium\PacketRadio\PacketExchange;
use Rundfunk\Medium\PacketRadio\PacketFrame;
use Rundfunk\Medium\PacketRadio\PacketSettings;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Spot;

/** Sticks of one hand that go to one receiver, each in a message of its own. */
#[Finds('packet-sticks-apart', WorkStep::Links)]
final readonly class SticksApart implements LinkRule
{
    public function check(Link $link, Look $look): iterable
    {
        if (PacketSettings::saysAll($link)) {
            return [];
        }
        $pairs = array_filter(self::pairs($link, $look), static fn (array $pair): bool => count($pair['sticks']) > 1 && $pair['messages'] > 1);
        if ($pairs === []) {
            return [];
        }
        $together = $link->with(['wholeState' => true]);
        $bytes = max(PacketSettings::of($link)->payloadBytes, PacketFrame::of($look->plan, $together)->usedBytes());
        if ($bytes > PacketFrame::MOST_BYTES) {
            return [];
        }
        $findings = [];
        foreach ($pairs as ['hop' => $hop, 'sticks' => $sticks, 'messages' => $messages]) {
            $sender = $look->plan->node($look->plan->endpoint($hop->fromId)->nodeId);
            $receiver = $look->plan->node($look->plan->endpoint($hop->toId)->nodeId);
            $names = implode(' and ', array_map(static fn (Control $stick): string => $stick->name, $sticks));
            $apart = $messages * PacketExchange::of($look->plan, $hop)->bestNs();
            $once = PacketExchange::over($together->with(['payloadBytes' => $bytes]), $look->plan->endpoint($hop->fromId))->bestNs();
            $findings[] = Finding::advice(
                "{$names} of {$sender->name} go to {$receiver->name} one after the other",
                Spot::of($link, $link->name, 'wholeState'),
                "Each time that they are looked at {$messages} messages go out, ".Figures::duration($apart).' of the link\'s time; one that says all takes '.Figures::duration($once).'. Between the two, one is new and the other old.',
                'Let each frame say the whole state of its sender. Where keys are pressed now and then, a command a frame is shorter and plainer.',
                Fix::settings('Say the whole state', $link, ['wholeState' => true, 'payloadBytes' => $bytes]),
                numbers: ['messages' => $messages, 'apart_us' => $apart / 1_000, 'together_us' => $once / 1_000, 'payload_bytes' => $bytes],
                about: [$hop->fromId, $hop->toId],
            );
        }

        return $findings;
    }

    /** @return array<string, array{hop: Hop, sticks: array<string, Control>, messages: int}> by sender and receiver */
    private static function pairs(Link $link, Look $look): array
    {
        $pairs = [];
        $codes = [];
        foreach (Streams::over($look, $link) as ['stick' => $stick, 'hop' => $hop]) {
            $pair = "{$hop->fromId} {$hop->toId}";
            $pairs[$pair] ??= ['hop' => $hop, 'sticks' => [], 'messages' => 0];
            $pairs[$pair]['sticks'][$stick->id] = $stick;
            $codes[$pair][$hop->code ?? $hop->id] = true;
            $pairs[$pair]['messages'] = count($codes[$pair]);
        }

        return $pairs;
    }
}
