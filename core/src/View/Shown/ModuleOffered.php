<?php

declare(strict_types=1);

namespace Rundfunk\View\Shown;

use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Catalogue\ModuleGroup;
use Rundfunk\Catalogue\Terminal;
use Rundfunk\Plan\Role;
use Rundfunk\Shape\ListOf;

/** A class of module, as screens offer it. */
final readonly class ModuleOffered
{
    /**
     * @param  string|null  $carries  the kind of control or output on its channels
     * @param  string|null  $peakPer  what the peak is of, where an output says how many there are of it: "pixels"
     * @param  int  $offered  how many pins it has for others
     * @param  bool  $fed  it takes current from a supply
     * @param  list<TerminalOffered>  $terminals
     * @param  list<string>  $supplyTerminals  by which it is fed
     */
    public function __construct(
        public string $key,
        public string $name,
        public ModuleGroup $group,
        public ?string $medium,
        public ?string $carries,
        public ?Role $role,
        public float $peakMa,
        public ?string $peakPer,
        public int $offered,
        public bool $fed,
        #[ListOf(TerminalOffered::class)] public array $terminals,
        #[ListOf('string')] public array $supplyTerminals,
        public string $advice,
        public string $basis,
    ) {
    }

    public static function of(ModuleClass $class): self
    {
        return new self(
            $class->key,
            $class->name,
            $class->group,
            $class->medium,
            $class->carries,
            $class->role,
            $class->peakMa,
            $class->loadPer,
            $class->offered,
            $class->isFed() && $class->peakMa > 0.0,
            array_map(static fn (Terminal $terminal): TerminalOffered => new TerminalOffered($terminal->name, $terminal->needs, $terminal->carries, $terminal->doc, $terminal->canBeSoftware()), [...array_values($class->terminals), ...array_values($class->report?->channels() ?? [])]),
            array_map(strval(...), array_keys(array_filter($class->supplyTerminals, static fn (string $goes): bool => $goes === 'supply'))),
            $class->advice,
            $class->basis,
        );
    }
}
