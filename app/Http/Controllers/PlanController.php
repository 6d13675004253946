<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\SignedIn;
use App\Models\User;
use App\Plans\Access;
use App\Plans\PlanStore;
use App\Views\PlanListView;
use App\Views\WorkspaceView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use LogicException;
use OpenApi\Attributes as OA;
use Rundfunk\Format\ThingReader;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Plan;
use Rundfunk\Shape\Problems;
use Symfony\Component\Uid\Ulid;

final class PlanController
{
    public function __construct(private readonly PlanStore $store, private readonly Knowledge $knowledge)
    {
    }

    #[OA\Get(path: '/api/plans', operationId: 'plans', summary: 'My plans', responses: [
        new OA\Response(response: 200, description: 'Newest first', content: new OA\JsonContent(ref: '#/components/schemas/PlanList')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
    ])]
    public function index(Request $request): JsonResponse
    {
        return new JsonResponse(['plans' => PlanListView::of(self::user($request))]);
    }

    #[OA\Post(path: '/api/plans', operationId: 'createPlan', summary: 'Begin a plan', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/NewPlan')), responses: [
        new OA\Response(response: 201, description: 'Begun', content: new OA\JsonContent(ref: '#/components/schemas/PlanMade')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 422, description: 'Refused', content: new OA\JsonContent(ref: '#/components/schemas/PlanRefusal')),
    ])]
    public function create(Request $request): JsonResponse
    {
        $problems = new Problems;
        $properties = (new ThingReader($this->knowledge))->readProperties([
            'id' => (string) new Ulid,
            'name' => $request->input('name'),
            'region' => $request->input('region'),
        ], '', $problems);
        $problems->settle();
        $record = $this->store->create(self::user($request), Plan::empty($properties ?? throw new LogicException('A plan without properties.')));

        return new JsonResponse(['id' => $record->id], 201);
    }

    #[OA\Get(path: '/api/plans/{plan}', operationId: 'plan', summary: 'A plan, its findings and what follows from it', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'All of it', content: new OA\JsonContent(ref: '#/components/schemas/Workspace')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, ref: '#/components/responses/NoSuchPlan'),
    ])]
    public function show(Request $request, string $plan): JsonResponse
    {
        $user = self::user($request);

        return new JsonResponse(WorkspaceView::of($this->store->look($user, $plan), $user));
    }

    #[OA\Delete(path: '/api/plans/{plan}', operationId: 'deletePlan', summary: 'Delete a plan; it can be restored', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'Deleted', content: new OA\JsonContent(ref: '#/components/schemas/PlanMade')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 403, ref: '#/components/responses/NotAllowed'),
        new OA\Response(response: 404, ref: '#/components/responses/NoSuchPlan'),
    ])]
    public function delete(Request $request, string $plan): JsonResponse
    {
        $this->store->find(self::user($request), $plan, Access::Owner)->delete();

        return new JsonResponse(['id' => $plan]);
    }

    #[OA\Post(path: '/api/plans/{plan}/restore', operationId: 'restorePlan', summary: 'Bring a deleted plan back', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'Back', content: new OA\JsonContent(ref: '#/components/schemas/PlanMade')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 403, ref: '#/components/responses/NotAllowed'),
        new OA\Response(response: 404, ref: '#/components/responses/NoSuchPlan'),
    ])]
    public function restore(Request $request, string $plan): JsonResponse
    {
        $this->store->findDeleted(self::user($request), $plan)->restore();

        return new JsonResponse(['id' => $plan]);
    }

    #[OA\Post(path: '/api/plans/{plan}/duplicate', operationId: 'duplicatePlan', summary: 'Copy a plan', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 201, description: 'Copied', content: new OA\JsonContent(ref: '#/components/schemas/PlanMade')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, ref: '#/components/responses/NoSuchPlan'),
    ])]
    public function duplicate(Request $request, string $plan): JsonResponse
    {
        $original = $this->store->look(self::user($request), $plan)->plan;
        $copy = $this->store->create(self::user($request), $original, 'Copy of '.mb_substr($original->properties->name, 0, 72));

        return new JsonResponse(['id' => $copy->id], 201);
    }

    private static function user(Request $request): User
    {
        return SignedIn::user($request);
    }
}
