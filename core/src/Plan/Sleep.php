<?php

declare(strict_types=1);

namespace Rundfunk\Plan;

/** When a node's board sleeps. */
enum Sleep: string
{
    /** It listens, or works, all the time. */
    case Never = 'never';

    /** It wakes for each reading or report, and sleeps between them. */
    case Between = 'between';

    /** A key wakes it, and nothing else. */
    case UntilKey = 'until-key';

    public function words(): string
    {
        return match ($this) {
            self::Never => 'never sleeps',
            self::Between => 'sleeps between readings',
            self::UntilKey => 'sleeps until a key is pressed',
        };
    }
}
