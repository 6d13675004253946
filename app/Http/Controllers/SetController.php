<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\AskedNode;
use App\Plans\PlanStore;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Rundfunk\Knowledge;
use Rundfunk\Learn\LaysOutSets;
use Rundfunk\Plan\NodeKind;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\Shape\Problems;
use Rundfunk\Shape\Values;

/** A set of toys or appliances laid out code by code. Nothing is kept: the user looks at it first. */
final class SetController
{
    public function __construct(private readonly PlanStore $store, private readonly Knowledge $knowledge)
    {
    }

    #[OA\Post(path: '/api/plans/{plan}/nodes/{node}/set', operationId: 'layOutSet', summary: 'A set of functions and codes, laid out as a grid', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'node', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/SetOrder')), responses: [
        new OA\Response(response: 200, description: 'Every code of it, and the edit that would add them', content: new OA\JsonContent(ref: '#/components/schemas/CodeSet')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, description: 'No such plan or node of yours', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
        new OA\Response(response: 422, description: 'Refused', content: new OA\JsonContent(ref: '#/components/schemas/PlanRefusal')),
    ])]
    public function __invoke(Request $request, string $plan, string $node): JsonResponse
    {
        $asked = AskedNode::of($request, $plan, $node, $this->store);
        $medium = $this->knowledge->media->offering(LaysOutSets::class, $asked->medium);
        if ($medium === null) {
            throw PlanRefused::at('/medium', 'must be a medium whose sets can be laid out');
        }
        if ($asked->node->kind !== NodeKind::Fixture) {
            throw PlanRefused::at('/node', 'must be an appliance or toy');
        }
        $problems = new Problems;
        $values = $medium->setShape()->accept($request->input('values'), '/values', $problems);
        $problems->settle();

        return new JsonResponse($medium->layOut($asked->plan, $asked->node, new Values($values)));
    }
}
