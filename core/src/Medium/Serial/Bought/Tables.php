<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial\Bought;

use Rundfunk\Behaviour\EndNumber;
use Rundfunk\Behaviour\MessageNumbers;
use Rundfunk\Medium\Serial\SerialEnd;
use Rundfunk\Medium\Serial\SerialLine;
use Rundfunk\Plan\Control;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\KnownDone;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\Protocol;
use Rundfunk\Plan\ProtocolItem;
use Rundfunk\Plan\ProtocolItemKind;

/** What a line of bought devices is about, as the plan uses them: who is on it, what they are told, asked and heard to say. */
final class Tables
{
    /** @var list<Device> */
    public array $devices = [];

    /** @var list<Known> */
    public array $items = [];

    /** @var list<Order> */
    public array $orders = [];

    /** @var list<Slot> */
    public array $slots = [];

    /** @var list<Notice> */
    public array $notices = [];

    /** @var array<string, int> by protocol and name */
    private array $known = [];

    private function __construct(private readonly Plan $plan, private readonly MessageNumbers $numbers, public readonly Protocol $protocol)
    {
    }

    /** @return self|null null while nobody is there to ask, or it is not known of every device what it speaks and by which id, or nothing of them is used */
    public static function of(Plan $plan, SerialLine $line, MessageNumbers $numbers): ?self
    {
        if (! $line->isComplete() || $line->protocols === []) {
            return null;
        }
        $tables = new self($plan, $numbers, $line->spoken()[0]);
        foreach ($line->bought as $device => $end) {
            $tables->add($device, $end, $line->protocols[$end->id]);
        }
        foreach ($line->bought as $device => $end) {
            $tables->watch($device, $line->protocols[$end->id]);
        }

        return $tables->items === [] ? null : $tables;
    }

    /** @return list<int> which of the figures say how a device's function or reading stands */
    public function slotsOn(int $device, int $item): array
    {
        return array_values(array_filter(array_keys($this->slots), fn (int $index): bool => $this->slots[$index]->device === $device && $this->slots[$index]->item === $item));
    }

    /** @return int|null which of the entries says that a function is done */
    public function doneBy(int $item): ?int
    {
        $known = $this->items[$item];

        return $known->item->done === KnownDone::Polled ? $this->known["{$known->protocol->id} {$known->item->doneBy}"] ?? null : null;
    }

    /** @return list<Control> the readings of a bought node that its protocol knows */
    public static function readings(Plan $plan, Endpoint $end, Protocol $protocol): array
    {
        return array_values(array_filter($plan->controlsOf($plan->node($end->nodeId)), static fn (Control $control): bool => $control->kind === ControlKind::Reading && self::reads($protocol, $control->terminal)));
    }

    private static function reads(Protocol $protocol, ?string $terminal): bool
    {
        $item = $terminal === null ? null : $protocol->item($terminal);

        return $item !== null && ($item->kind === ProtocolItemKind::Does ? $item->takesTime() : $item->read() !== null);
    }

    private function add(int $device, Endpoint $end, Protocol $protocol): void
    {
        $node = $this->plan->node($end->nodeId);
        $this->devices[] = new Device($node->name, EndNumber::of($this->plan, $end), $protocol->hasIds() ? (int) SerialEnd::of($end)->station : 0);
        $seen = [];
        foreach ($this->plan->hopsTo($end) as $hop) {
            $this->order($device, $protocol, $hop, $seen);
        }
        foreach (self::readings($this->plan, $end, $protocol) as $control) {
            $this->slot($device, $protocol, $control->terminal ?? '', $control->id);
        }
        foreach ($this->plan->hopsFrom($end) as $hop) {
            $this->notice($device, $protocol, $hop);
        }
    }

    /** A function that a reading says is done wants that reading, whoever else does. What controls read comes before that. */
    private function watch(int $device, Protocol $protocol): void
    {
        foreach ($this->orders as $order) {
            $item = $this->items[$order->item]->item;
            if ($order->device === $device && $item->watchedBy($protocol) !== null) {
                $this->slot($device, $protocol, $item->doneBy, null);
            }
        }
    }

    /** @param  array<int, true>  $seen  codes that are said already */
    private function order(int $device, Protocol $protocol, Hop $hop, array &$seen): void
    {
        $meant = Meant::by($this->plan, $hop, $protocol);
        $code = $this->numbers->told($hop);
        if ($meant !== null && $code !== null && ! isset($seen[$code])) {
            $seen[$code] = true;
            $this->orders[] = new Order($device, $code, $this->item($protocol, $meant->item), $meant->figure);
        }
    }

    private function notice(int $device, Protocol $protocol, Hop $hop): void
    {
        $control = $this->plan->control($this->plan->route($hop->routeId)->controlId);
        $item = $control->kind === ControlKind::Key && $control->terminal !== null ? $protocol->item($control->terminal) : null;
        $code = $this->numbers->heard($hop);
        if ($item?->kind === ProtocolItemKind::Says && $code !== null) {
            $index = $this->item($protocol, $item);
            foreach ($this->notices as $one) {
                if ($one->device === $device && $one->item === $index) {
                    return;
                }
            }
            $this->notices[] = new Notice($device, $index, $code);
        }
    }

    private function slot(int $device, Protocol $protocol, string $name, ?string $controlId): void
    {
        $item = $protocol->item($name);
        if ($item === null) {
            return;
        }
        $index = $this->item($protocol, $item);
        if ($controlId === null && array_filter($this->slotsOn($device, $index), fn (int $slot): bool => $this->slots[$slot]->everyMs > 0) !== []) {
            return;
        }
        $this->slots[] = new Slot($device, $index, $item->kind === ProtocolItemKind::Does, $item->kind === ProtocolItemKind::Answers ? $item->everyMs : 0, $controlId);
    }

    private function item(Protocol $protocol, ProtocolItem $item): int
    {
        $key = "{$protocol->id} {$item->name}";
        if (! isset($this->known[$key])) {
            $this->known[$key] = count($this->items);
            $this->items[] = new Known($protocol, Forms::of($protocol), $item);
        }

        return $this->known[$key];
    }
}
