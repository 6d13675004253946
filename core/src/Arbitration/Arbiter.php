<?php

declare(strict_types=1);

namespace Rundfunk\Arbitration;

use Rundfunk\Plan\Action;
use Rundfunk\Plan\Precedence;

/** What an output does when a master has its say. Where a message asks for nothing new, the standing stays as it is. */
final readonly class Arbiter
{
    private Range $range;

    public function __construct(private Precedence $precedence, ?Range $range = null)
    {
        $this->range = $range ?? Range::switched();
    }

    public function isOn(Standing $standing): bool
    {
        return $standing->value !== $this->range->off;
    }

    public function hear(Standing $standing, Ask $ask, Turn $turn): Standing
    {
        $holders = $standing->holders;
        if ($ask->action->holds()) {
            $holders = array_values(array_diff($holders, [$ask->master]));
            if ($turn === Turn::Worked) {
                $holders[] = $ask->master;
            }
        }
        $wanted = $this->wanted($standing->value, $ask, $turn);
        if ($wanted === null) {
            return $standing;
        }
        $off = $wanted === $this->range->off;
        if ($this->precedence === Precedence::HolderFirst && $holders !== []) {
            // Whoever holds it wants it on: what puts it off is heard when nobody holds it any more.
            return new Standing($off ? ($this->isOn($standing) ? $standing->value : $this->range->on()) : $wanted, $holders, $standing->barred);
        }
        if ($this->precedence === Precedence::OffFirst && $off) {
            return new Standing($wanted, $holders, $standing->barred || ($ask->byHand && self::isAnOff($ask, $turn)));
        }
        if ($this->precedence === Precedence::OffFirst && $standing->barred && ! self::liftsBar($ask)) {
            return new Standing($this->range->off, $holders, true);
        }

        return new Standing($wanted, $holders);
    }

    /** A pulse that has run out, or a key that was let go, ends what it began: nobody switched anything off. */
    private static function isAnOff(Ask $ask, Turn $turn): bool
    {
        return $turn === Turn::Worked || $ask->action === Action::Follow;
    }

    /** Only an explicit on by hand does. */
    private static function liftsBar(Ask $ask): bool
    {
        return $ask->byHand && $ask->action !== Action::Toggle && $ask->action !== Action::Step;
    }

    /** @return int|null null when nothing is asked */
    private function wanted(int $value, Ask $ask, Turn $turn): ?int
    {
        $range = $this->range;
        if ($turn === Turn::LetGo) {
            return $ask->action->holds() || $ask->action === Action::Pulse ? $range->off : null;
        }

        return match ($ask->action) {
            Action::On, Action::Follow, Action::Momentary, Action::Pulse => $range->on(),
            Action::Off => $range->off,
            Action::Toggle => $value === $range->off ? $range->on() : $range->off,
            Action::Set => $range->nearest($ask->value ?? $range->on()),
            Action::Step => $range->nearest($value + ($ask->value ?? 1)),
        };
    }
}
