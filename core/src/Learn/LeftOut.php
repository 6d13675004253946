<?php

declare(strict_types=1);

namespace Rundfunk\Learn;

/** Why a code of a set that is laid out is not added to the plan. */
enum LeftOut: string
{
    /** The function has one for that value. */
    case There = 'there';

    /** The protocol has no such address or command. */
    case Beyond = 'beyond';

    /** Something else obeys it. */
    case Twin = 'twin';

    public function words(int $count): string
    {
        [$one, $many] = match ($this) {
            self::There => ['is there already', 'are there already'],
            self::Beyond => ['is beyond what the protocol can say', 'are beyond what the protocol can say'],
            self::Twin => ['has the code of something else', 'have the code of something else'],
        };

        return "{$count} ".($count === 1 ? $one : $many);
    }
}
