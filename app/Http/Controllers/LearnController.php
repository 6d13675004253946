<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\AskedNode;
use App\Plans\PlanStore;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Rundfunk\Knowledge;
use Rundfunk\Learn\LearningRefused;
use Rundfunk\Learn\LearnsCodes;
use Rundfunk\Shape\PlanRefused;

/** What a capture or a keymap says. Nothing is kept: the user names the keys first. */
final class LearnController
{
    public function __construct(private readonly PlanStore $store, private readonly Knowledge $knowledge)
    {
    }

    #[OA\Post(path: '/api/plans/{plan}/nodes/{node}/learn', operationId: 'learn', summary: 'What a capture or a keymap says', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'node', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Lesson')), responses: [
        new OA\Response(response: 200, description: 'A row a press or key', content: new OA\JsonContent(ref: '#/components/schemas/Learned')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, description: 'No such plan or node of yours', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
        new OA\Response(response: 422, description: 'Refused', content: new OA\JsonContent(ref: '#/components/schemas/PlanRefusal')),
    ])]
    public function __invoke(Request $request, string $plan, string $node): JsonResponse
    {
        $asked = AskedNode::of($request, $plan, $node, $this->store);
        $medium = $this->knowledge->media->offering(LearnsCodes::class, $asked->medium);
        $text = $request->input('text');
        if ($medium === null) {
            throw PlanRefused::at('/medium', 'must be a medium whose codes can be learned');
        }
        if (! is_string($text)) {
            throw PlanRefused::at('/text', 'must be the text of a capture or keymap');
        }
        try {
            return new JsonResponse(['rows' => $medium->learn($text, $asked->plan->keyCodesOf($asked->node))]);
        } catch (LearningRefused $refused) {
            throw PlanRefused::at('/text', 'cannot be learned from. '.$refused->getMessage());
        }
    }
}
