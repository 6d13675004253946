<?php

declare(strict_types=1);

namespace Rundfunk\Behaviour;

use Rundfunk\Text\CNames;
use Rundfunk\Text\UniqueNames;

/** How the fields of a node's inputs and outputs are called in its behaviour header. */
final readonly class CFieldNames
{
    /**
     * @param  list<string>  $contacts
     * @param  list<string>  $gauges
     * @param  list<string>  $sticks
     * @param  list<string>  $outputs
     * @param  list<string>  $known  whether what an output shows of another node is known; only there where it shows such
     */
    private function __construct(public array $contacts, public array $gauges, public array $sticks, public array $outputs, public array $known)
    {
    }

    public static function of(NodeTables $tables): self
    {
        $inputs = new UniqueNames;
        $outputs = new UniqueNames;
        $name = static fn (UniqueNames $names): callable => static fn (Contact|Gauge|Stick|Driven $one): string => $names->name(CNames::lower($one->name));

        return new self(
            array_map($name($inputs), $tables->contacts),
            array_map($name($inputs), $tables->gauges),
            array_map($name($inputs), $tables->sticks),
            array_map($name($outputs), $tables->outputs),
            array_map(static fn (Driven $one): string => $one->unheardMs > 0 ? $outputs->name(CNames::lower($one->name).'_known') : '', $tables->outputs),
        );
    }
}
