<?php

declare(strict_types=1);

namespace Rundfunk\Check;

/** The step of the work on which a finding is mended. */
enum WorkStep: string
{
    /** Places, distances, walls, region. */
    case Site = 'site';

    /** Which board, which modules, what was bought. */
    case Nodes = 'nodes';

    /** Which medium joins which nodes, and its settings. */
    case Links = 'links';

    /** Which control does what to which output, and the codes for it. */
    case Routes = 'routes';

    /** Every pin, rail, level and part. */
    case PinsAndPower = 'power';

    /** What each load does in every phase. */
    case SafeStates = 'safe';
}
