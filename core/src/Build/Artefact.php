<?php

declare(strict_types=1);

namespace Rundfunk\Build;

/** A file made from a plan, for one node. */
final readonly class Artefact
{
    /** @param  string  $key  as addresses and the command line name it: "ir-keymap" */
    public function __construct(
        public string $key,
        public string $title,
        public string $fileName,
        public string $type,
        public string $content,
    ) {
    }
}
