<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Testing\TestResponse;
use Rundfunk\Plan\Plan;
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
            $document[$list] = array_map(static fn (array $row): array => [...$same, ...array_combine($fields, $row)], $rows);
        }

        return $document;
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
