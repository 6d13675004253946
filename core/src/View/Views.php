<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Edit\Edited;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;

/** Every view there is, by key. */
final readonly class Views
{
    /** @param  array<string, View>  $byKey */
    private function __construct(private Knowledge $knowledge, private array $byKey)
    {
    }

    public static function of(Knowledge $knowledge, View ...$views): self
    {
        $byKey = [];
        foreach ($views as $view) {
            $byKey[$view->key()] = $view;
        }

        return new self($knowledge, $byKey);
    }

    /** @return list<View> */
    public function all(): array
    {
        return array_values($this->byKey);
    }

    public function has(string $key): bool
    {
        return isset($this->byKey[$key]);
    }

    /** @throws NoSuchView */
    public function named(string $key): View
    {
        return $this->byKey[$key] ?? throw NoSuchView::named($key, array_keys($this->byKey));
    }

    /**
     * @param  list<string>  $of  ids of owners; of a view of the whole plan, how it is wanted, which may be left out
     * @return list<array{of: string, shows: object|null}> what is shown of something that is no more is null: whoever asks may not know yet, and the others are shown all the same
     *
     * @throws NoSuchView
     */
    public function show(string $key, array $of, Plan $plan): array
    {
        $view = $this->named($key);
        $knowledge = $this->knowledge->of($plan);
        $parts = [];
        foreach ($of === [] && $view->owner() === null ? [''] : $of as $one) {
            $parts[] = ['of' => $one, 'shows' => self::isGone($view, $one, $plan) ? null : $view->of($one, $plan, $knowledge)];
        }

        return $parts;
    }

    /**
     * All that is on screen, as it is now.
     *
     * @param  array<string, list<string>>  $onScreen  by key of the view, of what
     * @return array<string, list<array{of: string, shows: object|null}>> by key; what is shown of something that is no more is null
     *
     * @throws NoSuchView
     */
    public function now(Plan $plan, array $onScreen): array
    {
        $shown = [];
        $knowledge = $this->knowledge->of($plan);
        foreach ($onScreen as $key => $of) {
            $view = $this->named($key);
            foreach ($of as $one) {
                $shown[$key][] = ['of' => $one, 'shows' => self::isGone($view, $one, $plan) ? null : $view->of($one, $plan, $knowledge)];
            }
        }

        return $shown;
    }

    /**
     * What an edit can have changed of what is on screen.
     *
     * @param  array<string, list<string>>  $onScreen  by key of the view, of what
     * @return array<string, list<array{of: string, shows: object|null}>> by key; what is shown of something that is no more is null
     *
     * @throws NoSuchView
     */
    public function after(Edited $edited, array $onScreen): array
    {
        $changed = [];
        $knowledge = $this->knowledge->of($edited->plan);
        foreach ($onScreen as $key => $of) {
            $view = $this->named($key);
            $owner = $view->owner();
            foreach ($of as $one) {
                if (self::isGone($view, $one, $edited->plan)) {
                    $changed[$key][] = ['of' => $one, 'shows' => null];
                } elseif ($owner === null || $view instanceof LooksFar || $edited->impact()->reaches($owner::kind(), $one)) {
                    $shows = $view->of($one, $edited->plan, $knowledge);
                    // What hangs on the whole plan is mostly what it was, and may be long.
                    if ($owner !== null || json_encode($shows) !== json_encode($view->of($one, $edited->before, $this->knowledge->of($edited->before)))) {
                        $changed[$key][] = ['of' => $one, 'shows' => $shows];
                    }
                }
            }
        }

        return $changed;
    }

    private static function isGone(View $view, string $of, Plan $plan): bool
    {
        $owner = $view->owner();

        return $owner !== null && $plan->find($owner::kind(), $of) === null;
    }
}
