<?php

declare(strict_types=1);

namespace Rundfunk\Medium;

use Rundfunk\Plan\Role;
use Rundfunk\Shape\Shape;

/**
 * Everything the program knows of one kind of link. What else a medium can do it says by the objects it offers, each of one
 * or more small interfaces that stand beside whoever asks for them: a medium without addresses offers no address space.
 */
interface Medium
{
    /** As plan files name it. */
    public function key(): string;

    /** As people name it. */
    public function name(): string;

    /** What a node needs to be on it, in a word: "radio", "modem". */
    public function part(): string;

    /** What a board of one's own does on such a link, as a rule, where its part can do either. */
    public function usualRole(): Role;

    public function form(): LineForm;

    /** Settings that every endpoint of a link shares. */
    public function linkSettings(): Shape;

    /** Settings of one end. */
    public function endpointSettings(): Shape;

    /** @return list<object> what it can do, see {@see Media::offering} */
    public function offers(): array;
}
