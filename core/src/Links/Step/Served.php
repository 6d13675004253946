<?php

declare(strict_types=1);

namespace Rundfunk\Links\Step;

use Closure;
use Rundfunk\Catalogue\ModuleClass;
use Rundfunk\Plan\Endpoint;

/** Which part serves which end: as many ends as can be (augmenting paths, Kuhn), each taking the part that can do least first. */
final class Served
{
    /** @var array<int, int> end by part */
    private array $endOf = [];

    /**
     * @param  list<Endpoint>  $ends
     * @param  list<ModuleClass>  $parts
     * @param  Closure(Endpoint, ModuleClass): bool  $fits
     */
    private function __construct(private readonly array $ends, private readonly array $parts, private readonly Closure $fits)
    {
    }

    /**
     * @param  list<Endpoint>  $ends
     * @param  list<ModuleClass>  $parts
     * @param  Closure(Endpoint, ModuleClass): bool  $fits  whether its link takes such a part
     * @return array<int, int> part by end
     */
    public static function of(array $ends, array $parts, Closure $fits): array
    {
        $served = new self($ends, $parts, $fits);
        foreach (array_keys($ends) as $end) {
            $seen = [];
            $served->serve($end, $seen);
        }

        return array_flip($served->endOf);
    }

    /** @param  array<int, true>  $seen  parts that were asked already */
    private function serve(int $end, array &$seen): bool
    {
        foreach ($this->able($end) as $part) {
            if (isset($seen[$part])) {
                continue;
            }
            $seen[$part] = true;
            if (! isset($this->endOf[$part]) || $this->serve($this->endOf[$part], $seen)) {
                $this->endOf[$part] = $end;

                return true;
            }
        }

        return false;
    }

    /** @return list<int> those that can do no more than is asked first, then in their own order */
    private function able(int $end): array
    {
        $able = array_keys(array_filter($this->parts, fn (ModuleClass $class): bool => $class->serves($this->ends[$end]->role) && ($this->fits)($this->ends[$end], $class)));
        usort($able, fn (int $a, int $b): int => [$this->parts[$a]->role === null, $a] <=> [$this->parts[$b]->role === null, $b]);

        return $able;
    }
}
