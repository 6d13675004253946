<?php

declare(strict_types=1);

namespace App\OpenApi;

use LogicException;
use OpenApi\Attributes as OA;
use OpenApi\Generator;
use Rundfunk\Knowledge;
use Rundfunk\View\Views;

/** The description of the JSON interface: paths from the controllers' attributes, shapes of plans from the core's own. */
#[OA\Info(version: '1', title: 'Rundfunk', description: 'The interface between the front end and the application. Sign-in is by session cookie; every change needs the X-XSRF-TOKEN header. Anything may be answered 429 (more than one may use in a minute) or 503 (the database is away; with X-Turn, too many heavy works run), with Retry-After; 413 where a body is too large; 421 where the host is not the one of APP_URL.')]
final class Description
{
    /** @return array<array-key, mixed> OpenAPI 3.1 */
    public static function document(Knowledge $knowledge, Views $views): array
    {
        $generator = new Generator;
        $generator->setVersion('3.1.0');
        $scanned = $generator->generate([__FILE__, dirname(__DIR__).'/Http/Controllers'], null, false);
        $document = json_decode($scanned?->toJson() ?? '{}', true, 64, JSON_THROW_ON_ERROR);
        if (! is_array($document)) {
            throw new LogicException('The controllers describe nothing.');
        }
        $refusal = ['content' => ['application/json' => ['schema' => ['$ref' => '#/components/schemas/Refusal']]]];
        $document['components'] = [
            'schemas' => Components::of($knowledge->media, $views),
            'responses' => [
                'NotSignedIn' => ['description' => 'Not signed in', ...$refusal],
                'NotAllowed' => ['description' => 'The plan is shared with you for less than this', ...$refusal],
                'NoSuchPlan' => ['description' => 'No such plan of yours', ...$refusal],
            ],
        ];

        return $document;
    }
}
