<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Can;

use Rundfunk\Plan\Endpoint;

/** What an end of a bus hears, whether it wants to or not. */
final readonly class Overheard
{
    /** @return list<int> identifiers that others send, as recordings have them */
    public static function on(CanBus $bus, Endpoint $endpoint): array
    {
        $heard = [];
        foreach ($bus->traffic() as $one) {
            if ($one->end->id !== $endpoint->id) {
                $heard[] = $one->sent->id | ($one->sent->extended ? Recording::EXTENDED : 0);
            }
        }

        return array_values(array_unique($heard));
    }
}
