<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can\Dbc;

/** What a file says of a bus. */
final readonly class Description
{
    /**
     * @param  list<DescribedMessage>  $messages
     * @param  list<string>  $leftOut  what of it is not taken, in words
     */
    public function __construct(public array $messages, public array $leftOut)
    {
    }
}
