<?php

declare(strict_types=1);

namespace App\Http;

use App\Accounts\SessionsAway;
use App\Plans\AccessRefused;
use App\Plans\StaleVersion;
use App\Plans\UndoRefused;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use PDOException;
use Rundfunk\Build\NoSuchArtefact;
use Rundfunk\Plan\NotInPlan;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\Shape\Problem;
use Rundfunk\View\NoSuchView;
use Symfony\Component\ErrorHandler\Error\FatalError;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** How the core's named errors are told to the front end. */
final class Refusals
{
    public static function register(Exceptions $exceptions): void
    {
        $exceptions->dontReport([AccessRefused::class, PlanRefused::class, StaleVersion::class, NotInPlan::class, NoSuchArtefact::class, NoSuchView::class, UndoRefused::class]);
        $exceptions->shouldRenderJsonWhen(static fn (Request $request): bool => $request->is('api/*'));
        $exceptions->render(static fn (NotFoundHttpException $missing, Request $request): ?JsonResponse => $request->is('api/*') ? new JsonResponse(['message' => $missing->getPrevious() instanceof ModelNotFoundException ? 'There is no such plan of yours.' : 'There is nothing at this address.'], 404) : null);
        // It is nobody's fault and passes: whoever asked asks again.
        $exceptions->render(static fn (SessionsAway $away, Request $request): Response => self::away($request));
        $exceptions->render(static fn (PDOException $failed, Request $request): ?Response => self::isAway($failed) ? self::away($request) : null);
        $exceptions->render(static fn (FatalError $fatal): ?JsonResponse => self::isTooMuch($fatal) ? new JsonResponse(['message' => 'This takes longer, or more memory, to work out than there is for one request, and was given up. Nothing was changed.'], 422) : null);
        $exceptions->render(static fn (AccessRefused $refused): JsonResponse => new JsonResponse(['message' => $refused->getMessage()], 403));
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

    /** The database cannot be reached, can take no more, or may not write: codes of client and server, MariaDB's documentation. */
    private static function isAway(PDOException $failed): bool
    {
        $code = $failed->errorInfo[1] ?? null;

        return in_array(is_int($code) ? $code : 0, [1021, 1040, 1041, 1053, 1114, 1203, 1205, 1290, 1836, 2002, 2003, 2006, 2013, 2055], true)
            || preg_match('/\[(2002|2003|2006|2013|1040)\]/', $failed->getMessage()) === 1;
    }

    private static function isTooMuch(FatalError $fatal): bool
    {
        return preg_match('/Maximum execution time|Allowed memory size/', $fatal->getMessage()) === 1;
    }

    private static function away(Request $request): Response
    {
        $headers = ['Retry-After' => '5'];
        $said = 'The database does not answer just now. Nothing is lost: try again in a moment.';

        return $request->is('api/*') ? new JsonResponse(['message' => $said], 503, $headers) : new Response($said, 503, ['Content-Type' => 'text/plain; charset=utf-8', ...$headers]);
    }
}
