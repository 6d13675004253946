<?php

declare(strict_types=1);

namespace Rundfunk\Shape;

/** What a thing is to the one it refers to. Removal, and how far a change is felt, follow from this. */
enum Bond
{
    /** A part of it: it belongs to that one alone, and goes when that goes. A module of its node. */
    case PartOf;

    /** It stands between several, and goes when any of them goes. A route between control and output. */
    case Joins;

    /** It is one of a class that the plan itself describes: that one stays as long as anything is of it. */
    case Uses;

    /** It can be without: when that one goes, the reference is cleared. A node of its place. One of its own kind is always referred to so: things may come to stand in a circle. */
    case Mentions;

    /** They are its own, in their order: they go when it goes, and one that goes by itself is taken out of the list. The steps of a sequence. */
    case Holds;
}
