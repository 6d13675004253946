<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx;

use Rundfunk\Behaviour\EndNumber;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** What a board of ours must know to tell a universe: where its slots rest, and what each message does to which. */
final readonly class SenderTables
{
    /**
     * @param  string  $rests  a byte for each slot that is sent
     * @param  list<Driven>  $driven
     * @param  list<SlotTell>  $tells
     */
    private function __construct(public string $rests, public array $driven, public array $tells)
    {
    }

    public static function of(Plan $plan, Endpoint $endpoint, MessageNumbers $numbers): self
    {
        $universe = Universe::of($plan, $plan->link($endpoint->linkId));
        $rests = str_repeat("\0", $universe->slotsSent());
        foreach ($universe->patched as $one) {
            foreach ($one->uses as $use) {
                $place = $one->place($use->slot->at);
                if ($place !== null && $place <= strlen($rests)) {
                    $rests[$place - 1] = chr($use->slot->rest);
                    $fine = $use->slot->fineAt === null ? 0 : (int) $one->place($use->slot->fineAt);
                    if ($fine > 0 && $fine <= strlen($rests)) {
                        $rests[$fine - 1] = chr($use->slot->rest);
                    }
                }
            }
        }
        $driven = $tells = $places = [];
        foreach ($universe->told($endpoint) as $hop) {
            $patched = $universe->at($plan->endpoint($hop->toId));
            $use = $universe->slotOf($hop);
            $code = $numbers->told($hop);
            $place = $use === null ? null : $patched?->place($use->slot->at);
            if ($patched === null || $use === null || $code === null || $place === null || ! DmxSayings::canBeTold($plan, $hop)) {
                continue;
            }
            $at = $place - 1;
            $fine = $use->slot->fineAt === null ? null : $at + $use->slot->fineAt - $use->slot->at;
            if (max($at, $fine ?? 0) >= strlen($rests)) {
                continue;
            }
            $turn = $places["{$at} {$fine}"] ??= count($driven);
            $driven[$turn] ??= new Driven("{$patched->node->name}: {$use->slot->name}", $at, $fine, DmxSayings::rest($use));
            $route = $plan->route($hop->routeId);
            $node = EndNumber::of($plan, $patched->end);
            $tells["{$node} {$code}"] = new SlotTell(
                $node, $code, $turn, $route->action, DmxSayings::on($use), DmxSayings::rest($use), Level::of($plan->output($route->outputId)), DmxSayings::value($plan, $route),
                $route->fadeMs === 0 ? 0 : self::whole($route->fadeMs, $universe->periodUs()),
                $route->action === Action::Pulse ? $route->pulseMs ?? 1_000 : 0,
            );
        }

        return new self($rests, array_values($driven), array_values($tells));
    }

    /** A fade is there with the last packet that goes out in its time, not with the first behind it. */
    private static function whole(int $fadeMs, int $periodUs): int
    {
        return intdiv($fadeMs * 1_000, $periodUs) === 0 ? 0 : intdiv(Fade::packets($fadeMs, $periodUs) * $periodUs, 1_000);
    }

    public function isEmpty(): bool
    {
        return $this->tells === [] && trim($this->rests, "\0") === '';
    }

    public function pulses(): bool
    {
        foreach ($this->tells as $tell) {
            if ($tell->pulseMs > 0) {
                return true;
            }
        }

        return false;
    }

    /** @return list<int> the bytes of the packet that a bridge must be told, from 0: all that may ever be anything but nothing */
    public function places(): array
    {
        $places = [];
        foreach (str_split($this->rests) as $at => $rest) {
            if ($rest !== "\0") {
                $places[$at] = $at;
            }
        }
        foreach ($this->driven as $driven) {
            $places[$driven->at] = $driven->at;
            if ($driven->fineAt !== null) {
                $places[$driven->fineAt] = $driven->fineAt;
            }
        }
        sort($places);

        return $places;
    }
}
