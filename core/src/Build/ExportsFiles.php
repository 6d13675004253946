<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** A medium that has files for whoever builds, sets up or keeps an end of its links. */
interface ExportsFiles
{
    /** @return list<Artefact> */
    public function artefacts(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): array;
}
