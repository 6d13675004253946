<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\SignedIn;
use App\Plans\PlanStore;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Rundfunk\Assign\Assigner;

final class AssignController
{
    #[OA\Get(path: '/api/plans/{plan}/assignment', operationId: 'assignment', summary: 'What Assign proposes', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'Proposals, in the order in which they must be applied', content: new OA\JsonContent(ref: '#/components/schemas/Assignment')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, ref: '#/components/responses/NoSuchPlan'),
    ])]
    public function __invoke(Request $request, PlanStore $store, Assigner $assigner, string $plan): JsonResponse
    {
        $loaded = $store->look(SignedIn::user($request), $plan);

        return new JsonResponse(['version' => $loaded->version, 'proposals' => $assigner->assign($loaded->plan)->proposals]);
    }
}
