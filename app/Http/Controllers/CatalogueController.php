<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;
use Rundfunk\Knowledge;
use Rundfunk\View\CatalogueView;

/** The hardware, regions and media that ship with the program. */
final class CatalogueController
{
    #[OA\Get(path: '/api/catalogue', operationId: 'catalogue', summary: 'Boards, modules, regions and media', responses: [
        new OA\Response(response: 200, description: 'All of it', content: new OA\JsonContent(ref: '#/components/schemas/Catalogue')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
    ])]
    public function __invoke(Knowledge $knowledge): JsonResponse
    {
        return new JsonResponse(CatalogueView::of($knowledge));
    }
}
