<?php

declare(strict_types=1);

namespace App\Http;

use Illuminate\Http\Request;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\View\Views;

/** Which views a screen shows, and of what: an edit's answer brings those of them that changed. */
final readonly class OnScreen
{
    /** More than any screen shows at a time. */
    private const MOST = 50;

    /**
     * @return array<string, list<string>> by key of the view
     *
     * @throws PlanRefused
     */
    public static function read(Request $request, Views $views): array
    {
        return self::from($request->input('views', []), $views);
    }

    /**
     * @return array<string, list<string>> by key of the view
     *
     * @throws PlanRefused
     */
    public static function from(mixed $raw, Views $views): array
    {
        $shown = [];
        foreach (is_array($raw) ? $raw : throw PlanRefused::at('/views', 'must be an object of lists') as $key => $of) {
            if (! is_array($of) || count($of) > self::MOST || count($shown) >= self::MOST) {
                throw PlanRefused::at('/views', 'must be an object of lists, each of at most '.self::MOST);
            }
            foreach ($of as $one) {
                $shown[$views->has((string) $key) ? (string) $key : throw PlanRefused::at('/views', 'must name views that there are')][] = is_string($one) ? $one : throw PlanRefused::at('/views', 'must name things by their ids');
            }
        }

        return $shown;
    }

    /** @return list<string> what a view is asked of in an address: ids with commas between */
    public static function asked(Request $request): array
    {
        $of = $request->query('of');
        $ids = is_string($of) && $of !== '' ? explode(',', $of) : [];

        return count($ids) > self::MOST ? throw PlanRefused::at('/of', 'must name at most '.self::MOST) : $ids;
    }
}
