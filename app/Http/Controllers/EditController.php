<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\EditMark;
use App\Http\EditRequest;
use App\Http\OnScreen;
use App\Http\SignedIn;
use App\Models\User;
use App\Plans\Access;
use App\Plans\KeptEdit;
use App\Plans\PlanEditing;
use App\Plans\PlanStore;
use App\Views\ChangesView;
use App\Views\HistoryView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\View\Views;

/** The one door through which plans change. */
final class EditController
{
    public function __construct(private readonly PlanStore $store, private readonly PlanEditing $editing, private readonly Views $views)
    {
    }

    #[OA\Post(path: '/api/plans/{plan}/operations', operationId: 'edit', summary: 'Change a plan: all the operations or none', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Edit')), responses: [
        new OA\Response(response: 200, description: 'Changed', content: new OA\JsonContent(ref: '#/components/schemas/Changes')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 403, ref: '#/components/responses/NotAllowed'),
        new OA\Response(response: 404, ref: '#/components/responses/NoSuchPlan'),
        new OA\Response(response: 409, description: 'Made against an older version', content: new OA\JsonContent(ref: '#/components/schemas/Stale')),
        new OA\Response(response: 422, description: 'Refused', content: new OA\JsonContent(ref: '#/components/schemas/PlanRefusal')),
    ])]
    public function apply(Request $request, string $plan): JsonResponse
    {
        $user = SignedIn::user($request);
        $edit = EditRequest::read($request, $this->views);

        return $this->answer($this->editing->apply($user, $plan, $edit), $edit->mark, $user, $edit->onScreen);
    }

    #[OA\Post(path: '/api/plans/{plan}/undo', operationId: 'undo', summary: 'Take back my last edit', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: false, content: new OA\JsonContent(ref: '#/components/schemas/Replay')), responses: [
        new OA\Response(response: 200, description: 'Taken back', content: new OA\JsonContent(ref: '#/components/schemas/Changes')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 403, ref: '#/components/responses/NotAllowed'),
        new OA\Response(response: 404, ref: '#/components/responses/NoSuchPlan'),
        new OA\Response(response: 409, description: 'Nothing to undo, or someone changed the same since', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
    ])]
    public function undo(Request $request, string $plan): JsonResponse
    {
        $user = SignedIn::user($request);
        $onScreen = OnScreen::read($request, $this->views);
        $mark = EditMark::read($request);

        return $this->answer($this->editing->undo($user, $plan, $mark, self::meant($request)), $mark, $user, $onScreen);
    }

    #[OA\Post(path: '/api/plans/{plan}/redo', operationId: 'redo', summary: 'Do again what I took back', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: false, content: new OA\JsonContent(ref: '#/components/schemas/Replay')), responses: [
        new OA\Response(response: 200, description: 'Done again', content: new OA\JsonContent(ref: '#/components/schemas/Changes')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 403, ref: '#/components/responses/NotAllowed'),
        new OA\Response(response: 404, ref: '#/components/responses/NoSuchPlan'),
        new OA\Response(response: 409, description: 'Nothing to redo, or someone changed the same since', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
    ])]
    public function redo(Request $request, string $plan): JsonResponse
    {
        $user = SignedIn::user($request);
        $onScreen = OnScreen::read($request, $this->views);
        $mark = EditMark::read($request);

        return $this->answer($this->editing->redo($user, $plan, $mark, self::meant($request)), $mark, $user, $onScreen);
    }

    #[OA\Get(path: '/api/plans/{plan}/changes', operationId: 'changes', summary: 'What came after a version', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'since', in: 'query', required: true, schema: new OA\Schema(type: 'integer')), new OA\Parameter(name: 'views', in: 'query', description: 'What is on screen, as JSON', schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'All of it', content: new OA\JsonContent(ref: '#/components/schemas/Changes')),
        new OA\Response(response: 304, description: 'Nothing'),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, ref: '#/components/responses/NoSuchPlan'),
    ])]
    public function changes(Request $request, string $plan): JsonResponse
    {
        $user = SignedIn::user($request);
        $since = (int) $request->query('since');
        $views = $request->query('views');
        $onScreen = OnScreen::from(is_string($views) ? json_decode($views, true) : [], $this->views);

        return new JsonResponse(ChangesView::since($since, $this->store->look($user, $plan), $user, $this->views, $onScreen));
    }

    #[OA\Get(path: '/api/plans/{plan}/history', operationId: 'history', summary: 'What was changed, by whom', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'Newest first, at most 200', content: new OA\JsonContent(ref: '#/components/schemas/History')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, ref: '#/components/responses/NoSuchPlan'),
    ])]
    public function history(Request $request, string $plan): JsonResponse
    {
        return new JsonResponse(['edits' => HistoryView::of($this->store->find(SignedIn::user($request), $plan, Access::Viewer))]);
    }

    /** @param  array<string, list<string>>  $onScreen */
    private function answer(KeptEdit $kept, EditMark $mark, User $user, array $onScreen): JsonResponse
    {
        return new JsonResponse(ChangesView::of($kept, $mark->held, $user, $this->views, $onScreen));
    }

    /** @return int|null which edit is to be replayed, where the client says */
    private static function meant(Request $request): ?int
    {
        $of = $request->input('of');

        return $of === null || is_int($of) ? $of : throw PlanRefused::at('/of', 'must be the number of an edit');
    }
}
