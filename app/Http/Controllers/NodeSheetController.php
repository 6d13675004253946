<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Download;
use App\Http\SignedIn;
use App\Plans\PlanStore;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use Rundfunk\Build\Artefact;
use Rundfunk\Build\Artefacts;
use Rundfunk\Build\CHeader;
use Rundfunk\Build\Flashed;
use Rundfunk\Build\WiringTable;
use Rundfunk\Check\Look;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Node;
use Rundfunk\Plan\Plan;
use Rundfunk\Power\Circuits\Cautions;
use Rundfunk\Text\CNames;
use Rundfunk\Text\FileName;

/** What a node's builder needs. */
final class NodeSheetController
{
    public function __construct(private readonly PlanStore $store, private readonly Knowledge $knowledge)
    {
    }

    #[OA\Get(path: '/api/plans/{plan}/nodes/{node}/sheet', operationId: 'nodeSheet', summary: 'Wiring table and header of a node', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'node', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'The sheet', content: new OA\JsonContent(ref: '#/components/schemas/NodeSheet')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, description: 'No such plan or node of yours', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
    ])]
    public function show(Request $request, string $plan, string $node): JsonResponse
    {
        [$loaded, $found] = $this->find($request, $plan, $node);
        $header = new CHeader($this->knowledge);

        return new JsonResponse([
            'wiring' => WiringTable::of($loaded, $found, $this->knowledge)->rows,
            'header' => $found->kind->isBought() ? null : $header->write($loaded, $found),
            'headerName' => $header->fileName($found),
            'flashed' => $found->kind->isBought() ? null : Flashed::now($loaded, $found, $this->knowledge),
            'changed' => Flashed::changed($loaded, $found, $this->knowledge),
            'cautions' => Cautions::atBench(new Look($loaded, $this->knowledge), $found),
            'artefacts' => array_map(static fn (Artefact $one): array => [
                'key' => $one->key, 'title' => $one->title, 'fileName' => $one->fileName, 'content' => $one->content,
            ], Artefacts::of($loaded, $found, $this->knowledge)),
        ]);
    }

    #[OA\Get(path: '/api/plans/{plan}/nodes/{node}/header', operationId: 'nodeHeader', summary: 'The C header of a node', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'node', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'C99', content: new OA\MediaType(mediaType: 'text/x-c', schema: new OA\Schema(type: 'string'))),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, description: 'No such plan or node of yours', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
    ])]
    public function header(Request $request, string $plan, string $node): Response
    {
        [$loaded, $found] = $this->find($request, $plan, $node);
        $header = new CHeader($this->knowledge);

        return Download::of($header->write($loaded, $found), 'text/x-c', $header->fileName($found));
    }

    #[OA\Get(path: '/api/plans/{plan}/nodes/{node}/artefacts/{artefact}', operationId: 'nodeArtefact', summary: 'A file that a link has for a node', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'node', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'artefact', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'The file', content: new OA\MediaType(mediaType: 'text/plain', schema: new OA\Schema(type: 'string'))),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, description: 'No such plan, node or file of yours', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
    ])]
    public function artefact(Request $request, string $plan, string $node, string $artefact): Response
    {
        [$loaded, $found] = $this->find($request, $plan, $node);
        $made = Artefacts::named($loaded, $found, $this->knowledge, $artefact);

        return Download::of($made->content, $made->type, $made->fileName);
    }

    #[OA\Get(path: '/api/plans/{plan}/nodes/{node}/wiring.csv', operationId: 'nodeWiring', summary: 'The wiring table of a node', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'node', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'RFC 4180', content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string'))),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, description: 'No such plan or node of yours', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
    ])]
    public function wiring(Request $request, string $plan, string $node): Response
    {
        [$loaded, $found] = $this->find($request, $plan, $node);

        return Download::of(WiringTable::of($loaded, $found, $this->knowledge)->csv(), 'text/csv', FileName::of(CNames::lower($found->name), '-wiring.csv'));
    }

    /** @return array{Plan, Node} */
    private function find(Request $request, string $plan, string $node): array
    {
        $loaded = $this->store->look(SignedIn::user($request), $plan)->plan;

        return [$loaded, $loaded->node($node)];
    }
}
