<?php

declare(strict_types=1);

namespace App\Http;

use App\Plans\StaleVersion;
use App\Plans\UndoRefused;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Rundfunk\Build\NoSuchArtefact;
use Rundfunk\Plan\NotInPlan;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\Shape\Problem;
use Rundfunk\View\NoSuchView;

/** How the core's named errors are told to the front end. */
final class Refusals
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([PlanRefused::class, StaleVersion::class, NotInPlan::class, NoSuchArtefact::class, NoSuchView::class, UndoRefused::class]);
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => $request->is('api/*'));
        $exceptions->render(static fn (PlanRefused $refused): JsonResponse => new JsonResponse([
            'message' => $refused->getMessage(),
            'problems' => array_map(static fn (Problem $problem): array => ['place' => $problem->place, 'message' => $problem->message], $refused->problems),
        ], 422));
        $exceptions->render(static fn (StaleVersion $stale): JsonResponse => new JsonResponse([
            'message' => $stale->getMessage(),
            'version' => $stale->current,
            'since' => $stale->since,
        ], 409));
        $exceptions->render(static fn (UndoRefused $refused): JsonResponse => new JsonResponse(['message' => $refused->getMessage()], 409));
        $exceptions->render(static fn (NotInPlan|NoSuchArtefact|NoSuchView $missing): JsonResponse => new JsonResponse(['message' => $missing->getMessage()], 404));
    }
}
