<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Infrared;

use Rundfunk\Behaviour\HoldsConstants;
use Rundfunk\Build\DescribesEnds;
use Rundfunk\Build\ExportsFiles;
use Rundfunk\Build\WritesC;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** What the builder of an end needs: constants, tables, files. */
final readonly class IrBuild implements DescribesEnds, ExportsFiles, HoldsConstants, WritesC
{
    public function __construct(private Protocols $protocols)
    {
    }

    public function defines(Plan $plan, Endpoint $endpoint): array
    {
        return IrHeader::defines($plan, $endpoint, $this->protocols);
    }

    public function cLines(Plan $plan, Endpoint $endpoint, string $prefix, Knowledge $knowledge): array
    {
        return IrHeader::tables($plan, $endpoint, $prefix, $this->protocols);
    }

    public function artefacts(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): array
    {
        return IrFiles::of($plan, $plan->node($endpoint->nodeId), $this->protocols);
    }

    public function constantBytes(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): int
    {
        return IrHeader::tableBytes($plan, $endpoint, $this->protocols);
    }
}
