<?php

declare(strict_types=1);

namespace App\Limits;

use Closure;
use Illuminate\Cache\RateLimiter;
use Throwable;

/** How much of the server's time somebody has used in a minute, as an account and from an address. */
final readonly class Spending
{
    private const SECONDS = 60;

    public function __construct(private RateLimiter $limiter)
    {
    }

    /**
     * @param  array<string, int>  $budgets  ms that each may use in a minute, by whose it is
     * @return int|null in how many seconds there is some left; null when there is
     */
    public function wait(array $budgets): ?int
    {
        $wait = [];
        foreach ($budgets as $whose => $most) {
            if ($this->unlessItFails(fn (): int => self::number($this->limiter->attempts($whose))) >= $most) {
                $wait[] = $this->unlessItFails(fn (): int => $this->limiter->availableIn($whose));
            }
        }

        return $wait === [] ? null : max(1, ...$wait);
    }

    /** @param  array<string, int>  $budgets  as above */
    public function add(array $budgets, int $ms): void
    {
        foreach (array_keys($budgets) as $whose) {
            $this->unlessItFails(fn (): int => $this->limiter->increment($whose, self::SECONDS, $ms));
        }
    }

    /**
     * A cache that is full or away makes nobody's edit fail.
     *
     * @param  Closure(): int  $work
     */
    private function unlessItFails(Closure $work): int
    {
        try {
            return $work();
        } catch (Throwable $failed) {
            report($failed);

            return 0;
        }
    }

    private static function number(mixed $kept): int
    {
        return is_numeric($kept) ? (int) $kept : 0;
    }
}
