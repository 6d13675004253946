<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour\Whole;

use Rundfunk\Behaviour\Message;

/** What a receiver makes of the frames of one sender: what they say, and what it missed before. The header does the same in C, see {@see CWholeState}. */
final class Hearing
{
    private ?WholeFrame $last = null;

    /**
     * @param  list<StateSlot>  $slots  of the sender that this end hears
     * @param  int  $link  the node's number of the link
     * @param  int  $sender  its number on the link
     */
    public function __construct(private readonly array $slots, private readonly int $link, private readonly int $sender)
    {
    }

    /** @return list<Message> what was missed before what is said; none of a frame that came before */
    public function hear(WholeFrame $frame): array
    {
        $last = $this->last;
        if ($last !== null && $frame->isThatOf($last)) {
            return [];
        }
        $this->last = $frame;
        // Of a sender that began anew only what it says counts: how often its keys were pressed before is not known.
        $before = $last === null || $frame->beginsAfter($last) ? null : $last;
        $messages = [];
        foreach ([false, true] as $said) {
            foreach ($this->slots as $slot) {
                if (($frame->values[$slot->saidName()] === 1) === $said) {
                    foreach ($slot->heard($said, $frame->values[$slot->name], $before?->values[$slot->name]) as $value) {
                        $messages[] = new Message($this->link, $this->sender, $slot->code, $value);
                    }
                }
            }
        }

        return $messages;
    }
}
