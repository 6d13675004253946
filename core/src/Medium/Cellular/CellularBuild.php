<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Cellular;

use Rundfunk\Behaviour\HoldsConstants;
use Rundfunk\Build\DescribesEnds;
use Rundfunk\Build\ExportsFiles;
use Rundfunk\Build\WritesC;
use Rundfunk\Knowledge;
use Rundfunk\Pins\SetsBaud;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** What the builder of an end needs: constants, tables, files. */
final readonly class CellularBuild implements DescribesEnds, ExportsFiles, HoldsConstants, SetsBaud, WritesC
{
    public function defines(Plan $plan, Endpoint $endpoint): array
    {
        return CellularHeader::defines($plan, $endpoint);
    }

    public function baud(Plan $plan, Endpoint $endpoint): int
    {
        return CellularEnd::of($endpoint)->baud;
    }

    public function cLines(Plan $plan, Endpoint $endpoint, string $prefix, Knowledge $knowledge): array
    {
        return CellularHeader::tables($plan, $endpoint, $prefix, $knowledge->catalogue);
    }

    public function artefacts(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): array
    {
        return CellularFiles::of($plan, $endpoint, $knowledge->catalogue);
    }

    public function constantBytes(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): int
    {
        return CellularHeader::tableBytes($plan, $endpoint, $knowledge->catalogue);
    }
}
