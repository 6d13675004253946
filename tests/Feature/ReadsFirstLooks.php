<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Testing\TestResponse;
use Rundfunk\Plan\Plan;
use Rundfunk\Plan\ThingKind;
use Symfony\Component\HttpFoundation\Response;

/** Reads what a plan that is opened is answered with. */
trait ReadsFirstLooks
{
    /**
     * @param  TestResponse<Response>  $response  of a first look at a plan, whose things come as tables
     * @return array<string, mixed> the plan as in a file
     */
    protected static function document(TestResponse $response): array
    {
        $document = ['format' => Plan::FORMAT, 'plan' => $response->json('plan')];
        foreach ($response->json('things') as $list => ['fields' => $fields, 'rows' => $rows, 'same' => $same]) {
            $order = array_fill_keys(array_keys(self::kindOf((string) $list)->shape()->fields), null);
            $document[$list] = array_map(static fn (array $row): array => array_intersect_key([...$order, ...$same, ...array_combine($fields, $row)], $order), $rows);
        }

        return $document;
    }

    private static function kindOf(string $plural): ThingKind
    {
        foreach (ThingKind::cases() as $kind) {
            if ($kind->plural() === $plural) {
                return $kind;
            }
        }
        self::fail("no kind is called {$plural}");
    }

    /**
     * @param  TestResponse<Response>  $response
     * @return array<string, mixed> a first look as screens hold it
     */
    protected static function workspace(TestResponse $response): array
    {
        return ['version' => $response->json('version'), 'document' => self::document($response), 'findings' => $response->json('findings'), 'history' => $response->json('history')];
    }
}
