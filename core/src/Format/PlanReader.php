<?php

declare(strict_types=1);

namespace Rundfunk\Format;

use JsonException;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\PlanDraft;
use Rundfunk\Plan\ThingKind;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\Shape\Problems;

/** Reads a plan file. All of it is checked first; a plan with anything wrong is refused whole, with every place named. */
final readonly class PlanReader
{
    /** Bytes; a plan of 500 nodes and 5,000 routes is under 4 MB. */
    public const LARGEST = 12_000_000;

    private const DEEPEST = 12;

    private ThingReader $things;

    public function __construct(Knowledge $knowledge)
    {
        $this->things = new ThingReader($knowledge);
    }

    /** @throws PlanRefused */
    public function read(string $json): Plan
    {
        if (strlen($json) > self::LARGEST) {
            throw PlanRefused::at('/', 'is larger than '.intdiv(self::LARGEST, 1_000_000).' MB, far beyond any plan');
        }
        try {
            $raw = json_decode($json, true, self::DEEPEST, JSON_THROW_ON_ERROR);
        } catch (JsonException $error) {
            throw PlanRefused::at('/', $error->getCode() === JSON_ERROR_DEPTH
                ? 'is nested deeper than any plan'
                : 'is not JSON: '.lcfirst($error->getMessage()).'. Is the file cut short?');
        }

        return $this->fromArray($raw);
    }

    /** @throws PlanRefused */
    public function fromArray(mixed $raw): Plan
    {
        if (! is_array($raw) || array_is_list($raw)) {
            throw PlanRefused::at('/', 'must be an object with "format" and "plan"');
        }
        $format = $raw['format'] ?? null;
        if ($format === 1) {
            $raw = From1::read($raw);
            $format = 2;
        }
        if ($format !== Plan::FORMAT) {
            throw PlanRefused::at('/format', is_int($format) && $format > Plan::FORMAT
                ? 'is of a newer version than this program reads ('.Plan::FORMAT.')'
                : 'must be '.Plan::FORMAT.', the version of the plan format');
        }
        $problems = new Problems;
        $known = ['format', 'plan', ...array_map(static fn (ThingKind $kind): string => $kind->plural(), ThingKind::cases())];
        foreach (array_diff(array_map(strval(...), array_keys($raw)), $known) as $unknown) {
            $problems->add('/'.Problems::segment($unknown), 'is not a known field here');
        }
        $properties = $this->things->readProperties($raw['plan'] ?? [], '/plan', $problems);
        if ($properties === null) {
            $problems->settle();
            throw PlanRefused::at('/plan', 'cannot be read');
        }
        $draft = new PlanDraft($properties);
        $seen = [];
        foreach (ThingKind::cases() as $kind) {
            $this->readKind($kind, $raw[$kind->plural()] ?? [], $draft, $problems, $seen);
        }
        $problems->settle();

        return $draft->plan();
    }

    /** @param  array<string, true>  $seen ids met so far, of every kind */
    private function readKind(ThingKind $kind, mixed $list, PlanDraft $draft, Problems $problems, array &$seen): void
    {
        $place = '/'.$kind->plural();
        if (! is_array($list) || ! array_is_list($list)) {
            $problems->add($place, 'must be a list');

            return;
        }
        if (count($list) > $kind->limit()) {
            $problems->add($place, 'holds '.count($list).' things; a plan may have at most '.$kind->limit());

            return;
        }
        $alike = array_fill_keys(array_filter(array_column($list, 'id'), is_string(...)), true);
        foreach ($list as $index => $raw) {
            $thing = $this->things->read($kind, $raw, $place.'/'.$index, $draft, $problems, $alike);
            if ($thing === null) {
                continue;
            }
            if (isset($seen[$thing->id()])) {
                $problems->add($place.'/'.$index.'/id', 'is used twice in this plan');
            }
            $seen[$thing->id()] = true;
            $draft->put($thing);
        }
    }
}
