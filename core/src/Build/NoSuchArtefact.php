<?php

declare(strict_types=1);

namespace Rundfunk\Build;

use Rundfunk\Plan\Node;
use RuntimeException;

final class NoSuchArtefact extends RuntimeException
{
    /** @param  list<string>  $keys */
    public static function of(Node $node, string $key, array $keys): self
    {
        return new self("{$node->name} has no \"{$key}\" to export; there is ".implode(', ', ['c-header', 'wiring-csv', ...$keys]).'.');
    }
}
