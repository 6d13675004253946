<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

/** What comes of one step. */
final readonly class Outcome
{
    /**
     * @param  list<int>  $outputs  in the order of the tables
     * @param  list<bool>  $known  of each output, whether what it shows of another node is known; true for what shows nothing of the kind
     * @param  list<Message>  $messages
     */
    public function __construct(public State $state, public array $outputs, public array $known, public array $messages)
    {
    }
}
