<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Whole;

use Rundfunk\Arbitration\Range;
use Rundfunk\Behaviour\EndNumber;
use Rundfunk\Frame\FrameField;
use Rundfunk\Frame\FrameLayout;
use Rundfunk\Frame\PlacedField;
use Rundfunk\Plan\Action;
use Rundfunk\Plan\ControlKind;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Hop;
use Rundfunk\Plan\Link;
use Rundfunk\Plan\Plan;
use Rundfunk\Routes\HeardTogether;
use Rundfunk\Routes\RouteNames;
use Rundfunk\Text\CNames;
use Rundfunk\Text\UniqueNames;

/**
 * All that an end tells over its link, as it stands: laid out from the plan's routes in as few bits as tell it, and sent whole
 * each time something of it is told. So a receiver makes up for what it missed with the next frame that it hears, and one frame
 * carries all that changes at once.
 */
final readonly class WholeState
{
    /** Of what a message can bear, but for the lowest: that one says that nothing was said yet. */
    private const MOST = 32_767;

    /** @param  list<StateSlot>  $slots */
    private function __construct(public Endpoint $sender, public int $number, public array $slots)
    {
    }

    public static function of(Plan $plan, Endpoint $sender, HeardTogether $hearing): self
    {
        $names = new UniqueNames;
        $slots = [];
        foreach ($sender->role->sends() ? $plan->hopsFrom($sender) : [] as $hop) {
            $to = $plan->endpoint($hop->toId);
            if ($hop->code === null || $to->linkId !== $sender->linkId) {
                continue;
            }
            $hearers = $hearing->hearers($plan, $to);
            $number = EndNumber::of($plan, $hearers[0]);
            // Two routes that go out as one message are one thing that is told.
            $slots["{$number} {$hop->code}"] ??= self::slot($plan, $hop, $number, array_map(static fn (Endpoint $end): string => $end->id, $hearers), $names);
        }

        usort($slots, static fn (StateSlot $one, StateSlot $other): int => [$one->to, $one->code] <=> [$other->to, $other->code]);

        return new self($sender, EndNumber::of($plan, $sender), $slots);
    }

    /** @return list<self> of each end of a link that tells something */
    public static function on(Plan $plan, Link $link, HeardTogether $hearing): array
    {
        $all = array_map(static fn (Endpoint $end): self => self::of($plan, $end, $hearing), $plan->endpointsOn($link));

        return array_values(array_filter($all, static fn (self $state): bool => $state->slots !== []));
    }

    /** @return int bytes of the longest on a link: all its frames are of one length */
    public static function bytesOn(Plan $plan, Link $link, HeardTogether $hearing): int
    {
        return max([0, ...array_map(static fn (self $state): int => $state->usedBytes(), self::on($plan, $link, $hearing))]);
    }

    public function usedBytes(): int
    {
        return FrameLayout::ofItsLength(...$this->fields())->usedBytes();
    }

    /** @param  int  $bytes  of the longest on the link */
    public function layout(int $bytes): FrameLayout
    {
        return new FrameLayout($bytes, $this->fields());
    }

    /**
     * @param  int  $firstByte  at which it begins in a frame
     * @return array<string, PlacedField> by name
     */
    public function placed(int $firstByte): array
    {
        $fields = array_map(static fn (FrameField $field): FrameField => new FrameField($field->name, $field->size, $field->doc, $firstByte), $this->fields());
        $placed = [];
        foreach (FrameLayout::ofItsLength(...$fields)->placed() as $one) {
            $placed[$one->field->name] = $one;
        }

        return $placed;
    }

    /** @return list<StateSlot> those that an end hears */
    public function heardBy(Endpoint $receiver): array
    {
        return array_values(array_filter($this->slots, static fn (StateSlot $slot): bool => in_array($receiver->id, $slot->hearers, true)));
    }

    /** @return list<int> numbers of those whom it tells something, each once */
    public function receivers(): array
    {
        return array_values(array_unique(array_map(static fn (StateSlot $slot): int => $slot->to, $this->slots)));
    }

    /** @return list<FrameField> */
    private function fields(): array
    {
        return array_merge(...array_map(static fn (StateSlot $slot): array => $slot->fields(), $this->slots));
    }

    /** @param  list<string>  $hearers */
    private static function slot(Plan $plan, Hop $hop, int $to, array $hearers, UniqueNames $names): StateSlot
    {
        $route = $plan->route($hop->routeId);
        $control = $plan->control($route->controlId);
        $output = $plan->output($route->outputId);
        $says = $route->action === Action::Set && $route->value === null && $control->saysValue();
        $kind = match (true) {
            $route->action->holds() => SlotKind::Held,
            $says => SlotKind::Valued,
            default => SlotKind::Counted,
        };
        // A stick goes over the way of what it moves; any other source says what it likes.
        $range = $control->kind === ControlKind::Axis || $control->kind === ControlKind::Widget ? Range::of($output) : null;

        return new StateSlot(
            $names->name(CNames::lower("{$control->name} {$output->name} {$route->action->value}")),
            $kind,
            $to,
            $hop->code ?? 0,
            $hearers,
            $says ? 0 : match ($route->action) {
                Action::Set => $route->value ?? 0,
                Action::Step => $route->value ?? 1,
                default => 0,
            },
            ! $route->action->survivesRepetition(),
            max(-self::MOST, $range->lowest ?? -self::MOST),
            min(self::MOST, $range->highest ?? self::MOST),
            RouteNames::of($plan, $route).', '.RouteNames::asks($route),
        );
    }
}
