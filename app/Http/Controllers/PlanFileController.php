<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Download;
use App\Http\SignedIn;
use App\Plans\PlanStore;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;
use Rundfunk\Build\PartsList;
use Rundfunk\Drawing\LineMapDrawing;
use Rundfunk\Format\PlanReader;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Knowledge;
use Rundfunk\Text\FileName;

/** Plans as files. */
final class PlanFileController
{
    public function __construct(private readonly PlanStore $store, private readonly Knowledge $knowledge)
    {
    }

    #[OA\Get(path: '/api/plans/{plan}/file', operationId: 'exportPlan', summary: 'The plan as a file', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'A plan file', content: new OA\MediaType(mediaType: 'application/json', schema: new OA\Schema(ref: '#/components/schemas/PlanDocument'))),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, ref: '#/components/responses/NoSuchPlan'),
    ])]
    public function export(Request $request, string $plan): Response
    {
        $loaded = $this->store->look(SignedIn::user($request), $plan)->plan;

        return Download::of((new PlanWriter)->write($loaded), 'application/json', FileName::of(Str::slug($loaded->properties->name, '-', 'en'), '.json'));
    }

    #[OA\Get(path: '/api/plans/{plan}/line-map.svg', operationId: 'drawPlan', summary: 'The line map to print, with a route followed on it if one is named', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'route', in: 'query', schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'A drawing', content: new OA\MediaType(mediaType: 'image/svg+xml', schema: new OA\Schema(type: 'string'))),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, ref: '#/components/responses/NoSuchPlan'),
    ])]
    public function draw(Request $request, string $plan): Response
    {
        $loaded = $this->store->look(SignedIn::user($request), $plan)->plan;
        $route = $request->query('route');

        return Download::of(LineMapDrawing::toPrint($loaded, $this->knowledge->media, is_string($route) ? $route : ''), 'image/svg+xml', FileName::of(Str::slug($loaded->properties->name, '-', 'en'), '.svg'));
    }

    #[OA\Get(path: '/api/plans/{plan}/parts.csv', operationId: 'planParts', summary: 'The parts list of the plan, or of one node if one is named', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'node', in: 'query', schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'RFC 4180', content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string'))),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, ref: '#/components/responses/NoSuchPlan'),
    ])]
    public function parts(Request $request, string $plan): Response
    {
        $loaded = $this->store->look(SignedIn::user($request), $plan)->plan;
        $node = $request->query('node');
        $only = is_string($node) ? $loaded->node($node) : null;
        $of = $only === null ? $loaded->properties->name : $only->name;

        return Download::of(PartsList::of($loaded, $this->knowledge, $only)->csv(), 'text/csv', FileName::of(Str::slug($of, '-', 'en'), '-parts.csv'));
    }

    #[OA\Post(path: '/api/plans/import', operationId: 'importPlan', summary: 'Make a plan from a file', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/PlanDocument')), responses: [
        new OA\Response(response: 201, description: 'Made', content: new OA\JsonContent(ref: '#/components/schemas/PlanMade')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 422, description: 'Refused whole', content: new OA\JsonContent(ref: '#/components/schemas/PlanRefusal')),
        new OA\Response(response: 429, description: 'Too many tries', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
    ])]
    public function import(Request $request): JsonResponse
    {
        $plan = (new PlanReader($this->knowledge))->read($request->getContent());

        return new JsonResponse(['id' => $this->store->create(SignedIn::user($request), $plan)->id], 201);
    }
}
