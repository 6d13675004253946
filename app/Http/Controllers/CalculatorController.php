<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Rundfunk\Calculator\BadInput;
use Rundfunk\Calculator\Calculators;
use Rundfunk\OutOfRange;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\Shape\Problems;
use Rundfunk\View\CalculatorView;

/** Every formula that a person would want alone. */
final class CalculatorController
{
    #[OA\Get(path: '/api/calculators', operationId: 'calculators', summary: 'The calculators, by topic', responses: [
        new OA\Response(response: 200, description: 'All of them', content: new OA\JsonContent(ref: '#/components/schemas/Calculators')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
    ])]
    public function index(Calculators $calculators): JsonResponse
    {
        return new JsonResponse(['calculators' => array_map(CalculatorView::of(...), $calculators->all())]);
    }

    #[OA\Post(path: '/api/calculators/{name}', operationId: 'calculate', summary: 'Work out one formula', parameters: [new OA\Parameter(name: 'name', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Given')), responses: [
        new OA\Response(response: 200, description: 'The result', content: new OA\JsonContent(ref: '#/components/schemas/Worked')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, description: 'No such calculator', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
        new OA\Response(response: 422, description: 'Refused', content: new OA\JsonContent(ref: '#/components/schemas/PlanRefusal')),
    ])]
    public function calculate(Request $request, Calculators $calculators, string $name): JsonResponse
    {
        if (! $calculators->has($name)) {
            return new JsonResponse(['message' => 'There is no such calculator.'], 404);
        }
        $given = [];
        $raw = $request->input('inputs', []);
        foreach (is_array($raw) ? $raw : [] as $key => $value) {
            if (! is_string($value)) {
                throw PlanRefused::at('/inputs/'.Problems::segment((string) $key), 'must be a text');
            }
            $given[(string) $key] = $value;
        }
        try {
            return new JsonResponse(CalculatorView::worked($calculators->named($name), $given));
        } catch (BadInput $bad) {
            throw PlanRefused::at('/inputs/'.$bad->input, $bad->getMessage());
        } catch (OutOfRange $out) {
            throw PlanRefused::at('/inputs/'.$out->field, $out->getMessage());
        }
    }
}
