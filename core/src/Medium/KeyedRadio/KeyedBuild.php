<?php

declare(strict_types=1);

namespace Rundfunk\Medium\KeyedRadio;

use Rundfunk\Build\DescribesEnds;
use Rundfunk\Build\ExportsFiles;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Endpoint;
use Rundfunk\Plan\Plan;

/** What the builder of an end needs: constants, tables, files. */
final readonly class KeyedBuild implements DescribesEnds, ExportsFiles
{
    public function defines(Plan $plan, Endpoint $endpoint): array
    {
        return KeyedHeader::defines($plan, $endpoint);
    }

    public function artefacts(Plan $plan, Endpoint $endpoint, Knowledge $knowledge): array
    {
        return KeyedFiles::of($plan, $endpoint);
    }
}
