<?php

declare(strict_types=1);

namespace Rundfunk\Demo;

/** What feeds a module, said shortly: the sketch puts the supply into the plan where it is not there yet. */
enum FedFrom
{
    case Board3V3;

    case Board5V;

    /** The first regulator adapter of the node. */
    case Adapter;

    /** A supply of its own that gives what the module wants. */
    case Own;
}
