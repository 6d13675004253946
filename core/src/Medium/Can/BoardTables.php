<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Behaviour\EndNumber;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** What a board of ours must know of a bus, as lists: what it reads, whom it hears, to whom it says what. The header is written from it and the core's own board plays it. */
final readonly class BoardTables
{
    /**
     * @param  list<array{control: Control, message: CanMessage, signal: CanSignal}>  $reads
     * @param  list<array{id: int, node: int}>  $hears  identifiers of boards of ours that command this one, and their numbers
     * @param  list<array{node: int, code: int, message: int, signal: CanSignal, figure: int|null}>  $tells  what bought ends are told: which of the messages, and the figure where the plan says it
     * @param  list<CanMessage>  $sends  messages of its own that bought ends listen to
     */
    private function __construct(public int $number, public ?int $identifier, public bool $commands, public array $reads, public array $hears, public array $tells, public array $sends)
    {
    }

    public static function of(Plan $plan, Endpoint $endpoint, MessageNumbers $numbers): self
    {
        $bus = CanBus::of($plan, $plan->link($endpoint->linkId));
        $own = $bus->end($endpoint);
        $reads = $hears = $tells = [];
        foreach ($bus->read($endpoint) as $control) {
            $meant = $bus->meant($control);
            if ($meant !== null) {
                $reads[] = ['control' => $control, 'message' => $meant[1], 'signal' => $meant[2]];
            }
        }
        foreach ($bus->ends as $end) {
            $id = $bus->end($end)->identifier;
            foreach ($bus->commands($end) as $hop) {
                if ($hop->toId === $endpoint->id && $id !== null) {
                    $hears[$id] = ['id' => $id, 'node' => EndNumber::of($plan, $end)];
                }
            }
        }
        $sends = [];
        foreach ($bus->isMute($endpoint) ? [] : $bus->told($endpoint) as $hop) {
            $found = $own->signal($plan->output($plan->route($hop->routeId)->outputId)->channel);
            $code = $numbers->told($hop);
            if (CanSayings::isOurs($plan, $hop) || $found === null || $code === null || ! $found[1]->fits($found[0]->of->bytes) || ! CanSayings::canBeTold($plan, $hop, $found[1])) {
                continue;
            }
            $at = array_search($found[0], $sends, true);
            if ($at === false) {
                $at = count($sends);
                $sends[] = $found[0];
            }
            $tells["{$hop->toId} {$code}"] = ['node' => EndNumber::of($plan, $plan->endpoint($hop->toId)), 'code' => $code, 'message' => $at, 'signal' => $found[1], 'figure' => CanSayings::figure($plan, $hop)];
        }

        return new self(EndNumber::of($plan, $endpoint), $own->identifier, ! $bus->isMute($endpoint) && $own->identifier !== null && $bus->commands($endpoint) !== [], $reads, array_values($hears), array_values($tells), $sends);
    }

    /** Whether it says anything at all. */
    public function isMute(): bool
    {
        return ! $this->commands && $this->sends === [];
    }

    public function isEmpty(): bool
    {
        return $this->isMute() && $this->reads === [] && $this->hears === [];
    }
}
