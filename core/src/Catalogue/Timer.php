<?php

declare(strict_types=1);

namespace Rundfunk\Catalogue;

use LogicException;
use Rundfunk\Shape\Values;

/** A timer of a board's chip, which makes the PWM of some pins. It counts at one pace: what one signal asks of it, another does not get. */
final readonly class Timer
{
    /**
     * @param  non-empty-list<string>  $pins  names of the pins whose PWM it makes
     * @param  Signal|null  $serves  what the usual libraries make with it, on whatever pin
     * @param  bool  $keepsTime  the program's own clock runs on it: its pace must not be changed
     */
    public function __construct(public string $name, public array $pins, public ?Signal $serves, public bool $keepsTime)
    {
    }

    public static function from(Values $values): self
    {
        $pins = $values->texts('pins');

        return new self($values->text('name'), $pins === [] ? throw new LogicException('A timer without pins.') : $pins, $values->choiceOrNull('serves', Signal::class), $values->has('keepsTime'));
    }
}
