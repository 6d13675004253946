<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Plan\Control;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** A medium over which a node asks bought things what they read: their readings are judged in its program, for theirs is not ours. */
interface FetchesReadings
{
    /** @return list<Control> readings of others that an end asks for, in the order in which it does */
    public function fetched(Plan $plan, Endpoint $endpoint): array;

    /** Whether a reading that an end asks for fails when the node that it is of falls silent, so that nothing stays as it was. */
    public function noticesSilence(Plan $plan, Endpoint $endpoint, Control $control): bool;

    /**
     * @param  string  $prefix  of the end's names in the node's header, in capitals
     * @return string C that gives what a fetched reading says, in thousandths or NODE_FAILED
     */
    public function fetchedBy(Plan $plan, Endpoint $endpoint, Control $control, string $prefix): string;
}
