<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\OnScreen;
use App\Http\SignedIn;
use App\Plans\PlanStore;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Rundfunk\View\Views;

/** What a screen shows of a plan besides the plan itself, asked for when it is opened. */
final class ViewController
{
    #[OA\Get(path: '/api/plans/{plan}/views/{view}', operationId: 'view', summary: 'What a screen shows of a plan', parameters: [
        new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        new OA\Parameter(name: 'view', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
        new OA\Parameter(name: 'of', in: 'query', required: false, description: 'Ids of what it is asked of, with commas between', schema: new OA\Schema(type: 'string')),
    ], responses: [
        new OA\Response(response: 200, description: 'One part for each; of what is not in the plan, or is no more, nothing is shown', content: new OA\JsonContent(ref: '#/components/schemas/Shown')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, description: 'No such plan of yours, or no such view', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
    ])]
    public function __invoke(Request $request, PlanStore $store, Views $views, string $plan, string $view): JsonResponse
    {
        $loaded = $store->look(SignedIn::user($request), $plan);

        return new JsonResponse(['version' => $loaded->version, 'parts' => $views->show($view, OnScreen::asked($request), $loaded->plan)]);
    }
}
