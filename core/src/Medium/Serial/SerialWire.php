<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Serial;

use Rundfunk\Check\End;
use Rundfunk\Check\Look;
use Rundfunk\Plan\Module;
use Rundfunk\Plan\Part;
use Rundfunk\Plan\PartKind;

/** A wire at logic levels from the pin of one end to the pin of another: what is given, what comes of it through what stands between, what is taken and stood. */
final readonly class SerialWire
{
    /** @param  list<Part>  $parts  at the speaker's TXD and the listener's RXD */
    private function __construct(public End $speaker, public End $listener, private PinLevels $gives, private PinLevels $takes, private array $parts, private Returning $returning)
    {
    }

    /** @return self|null null where it is not known of either, or its part makes levels of its own */
    public static function on(SerialLine $line, End $speaker, End $listener, Look $look): ?self
    {
        $settings = $line->settings;
        // Several share the line on which they answer.
        $isShared = Askers::likely($look->plan, $line)?->id === $listener->endpoint->id && count($line->ends) > 2;
        $gives = PinLevels::of($speaker, $look);
        $takes = PinLevels::of($listener, $look);
        if ($settings->levels !== Levels::Logic || $gives === null || $takes === null || ! self::isPlain($speaker) || ! self::isPlain($listener)) {
            return null;
        }
        $parts = [];
        foreach ([[$speaker, 'TXD'], [$listener, 'RXD']] as [$end, $terminal]) {
            foreach ($end->module === null ? [] : $look->plan->partsOf($end->module) as $part) {
                if ($part->terminal === $terminal) {
                    $parts[] = $part;
                }
            }
        }

        return new self($speaker, $listener, $gives, $takes, $parts, $isShared ? $settings->returning : Returning::Joined);
    }

    /** @return array{Module, string}|null where a part can be put into it: where it is heard; for a bought device, which has no part of ours, where it is said */
    public function place(): ?array
    {
        return match (true) {
            $this->listener->module !== null => [$this->listener->module, 'RXD'],
            $this->listener->node->kind->isBought() && $this->speaker->module !== null => [$this->speaker->module, 'TXD'],
            default => null,
        };
    }

    /** The highest high that arrives: behind a diode it is the listener's own pull-up. */
    public function arrivesV(): ?float
    {
        return $this->isShifted() ? null : ($this->returning->liftsV() > 0.0 ? min($this->takes->logicV, $this->gives->logicV) : $this->gives->logicV) * $this->share();
    }

    public function mostV(): float
    {
        return $this->takes->levels->mostInV;
    }

    public function isTooHigh(): bool
    {
        $arrivesV = $this->arrivesV();

        return $arrivesV !== null && $arrivesV > $this->mostV() + 1e-6;
    }

    /** The lowest high. */
    public function leastArrivesV(): ?float
    {
        return $this->isShifted() ? null : ($this->returning->liftsV() > 0.0 ? $this->takes->logicV : $this->gives->levels->highOutV) * $this->share();
    }

    public function takesV(): float
    {
        return $this->takes->levels->highInV;
    }

    public function isTooLow(): bool
    {
        $arrivesV = $this->leastArrivesV();

        return $arrivesV !== null && $arrivesV < $this->takesV() - 1e-6;
    }

    /** The highest low, lifted by a diode in its way. */
    public function lowArrivesV(): ?float
    {
        return $this->isShifted() ? null : $this->gives->levels->lowOutV + $this->returning->liftsV();
    }

    public function takesLowV(): float
    {
        return $this->takes->levels->lowInV;
    }

    public function isLowTooHigh(): bool
    {
        $arrivesV = $this->lowArrivesV();

        return $arrivesV !== null && $arrivesV > $this->takesLowV() + 1e-6;
    }

    /** Something in it keeps one board from feeding the other through its input's diode. */
    public function isHeldBack(): bool
    {
        foreach ($this->parts as $part) {
            if (in_array($part->kind, [PartKind::SeriesResistor, PartKind::Divider, PartKind::Shifter], true)) {
                return true;
            }
        }

        return $this->returning->liftsV() > 0.0;
    }

    /** With two resistors in it, it is neither too high nor too low. */
    public function fitsDivided(float $share): bool
    {
        return $this->parts === [] && $this->returning === Returning::Joined && $this->gives->logicV * $share <= $this->mostV() + 1e-6 && $this->gives->levels->highOutV * $share >= $this->takesV() - 1e-6;
    }

    private function isShifted(): bool
    {
        foreach ($this->parts as $part) {
            if ($part->kind === PartKind::Shifter) {
                return true;
            }
        }

        return false;
    }

    private function share(): float
    {
        $share = 1.0;
        foreach ($this->parts as $part) {
            $share *= $part->share() ?? 1.0;
        }

        return $share;
    }

    private static function isPlain(End $end): bool
    {
        return $end->class === null || ($end->class->figures['levels'] ?? Levels::Logic->value) === Levels::Logic->value;
    }
}
