<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\SignedIn;
use App\Plans\PlanStore;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Rundfunk\Knowledge;
use Rundfunk\Learn\HearsRecordings;
use Rundfunk\Learn\LearningRefused;
use Rundfunk\Learn\ReadsDescriptions;
use Rundfunk\Shape\Field;
use Rundfunk\Shape\PlanRefused;
use Rundfunk\Shape\Problems;
use Rundfunk\Shape\Shape;
use Rundfunk\Shape\Values;

/** What a recording of a link, or a description of one, says. Nothing is kept: the user chooses what goes into the plan. */
final class HearController
{
    /** What a minute of a busy bus comes to. */
    private const LONGEST = 12_000_000;

    public function __construct(private readonly PlanStore $store, private readonly Knowledge $knowledge)
    {
    }

    #[OA\Post(path: '/api/plans/{plan}/links/{link}/heard', operationId: 'hear', summary: 'What a recording says, and which bits may be what is looked for', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'link', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/RecordingAsked')), responses: [
        new OA\Response(response: 200, description: 'Identifier by identifier', content: new OA\JsonContent(ref: '#/components/schemas/RecordingShown')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, description: 'No such plan or link of yours', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
        new OA\Response(response: 422, description: 'Refused', content: new OA\JsonContent(ref: '#/components/schemas/PlanRefusal')),
    ])]
    public function hear(Request $request, string $plan, string $link): JsonResponse
    {
        $medium = $this->medium($request, $plan, $link, HearsRecordings::class) ?? throw PlanRefused::at('/link', 'must be one whose recordings can be read');
        $after = $request->input('after');
        $times = $request->input('times');
        try {
            return new JsonResponse($medium->heard(self::text($request, 'text'), $after === null ? null : self::text($request, 'after'), is_int($times) ? $times : null, self::signal($request)));
        } catch (LearningRefused $refused) {
            throw PlanRefused::at('/text', 'cannot be read. '.$refused->getMessage());
        }
    }

    #[OA\Post(path: '/api/plans/{plan}/links/{link}/described', operationId: 'describe', summary: 'What a description of a bus says', parameters: [new OA\Parameter(name: 'plan', in: 'path', required: true, schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'link', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/DescriptionAsked')), responses: [
        new OA\Response(response: 200, description: 'Message by message', content: new OA\JsonContent(ref: '#/components/schemas/DescriptionShown')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, description: 'No such plan or link of yours', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
        new OA\Response(response: 422, description: 'Refused', content: new OA\JsonContent(ref: '#/components/schemas/PlanRefusal')),
    ])]
    public function describe(Request $request, string $plan, string $link): JsonResponse
    {
        $medium = $this->medium($request, $plan, $link, ReadsDescriptions::class) ?? throw PlanRefused::at('/link', 'must be one that files describe');
        try {
            return new JsonResponse($medium->described($request->input('base64') === null ? self::text($request, 'text') : self::bytes($request, 'base64')));
        } catch (LearningRefused $refused) {
            throw PlanRefused::at('/text', 'cannot be read. '.$refused->getMessage());
        }
    }

    /**
     * @template T of object
     *
     * @param  class-string<T>  $does
     * @return T|null
     */
    private function medium(Request $request, string $plan, string $link, string $does): ?object
    {
        return $this->knowledge->media->offering($does, $this->store->look(SignedIn::user($request), $plan)->plan->link($link)->medium);
    }

    private static function text(Request $request, string $name): string
    {
        $text = $request->input($name);
        if (! is_string($text) || strlen($text) > self::LONGEST) {
            throw PlanRefused::at("/{$name}", 'must be a text of at most '.(self::LONGEST / 1_000_000).' MB');
        }

        return $text;
    }

    /** What is no text comes as the letters of one. */
    private static function bytes(Request $request, string $name): string
    {
        $bytes = base64_decode(self::text($request, $name), true);

        return $bytes === false ? throw PlanRefused::at("/{$name}", 'must be base64') : $bytes;
    }

    /** @return array{id: string, start: int, bits: int, highFirst: bool, signed: bool}|null */
    private static function signal(Request $request): ?array
    {
        $asked = $request->input('signal');
        if ($asked === null) {
            return null;
        }
        $problems = new Problems;
        $shape = Shape::of(Field::text('id', 8, 'Hexadecimal.'), Field::whole('start', 0, 63, 'Its place.'), Field::whole('bits', 1, 64, 'How many.'), Field::flag('highFirst', 'The high byte first.'), Field::flag('signed', 'A sign.'));
        $values = new Values($shape->accept($asked, '/signal', $problems));
        $problems->settle();

        return ['id' => $values->text('id'), 'start' => $values->whole('start'), 'bits' => $values->whole('bits'), 'highFirst' => $values->flag('highFirst'), 'signed' => $values->flag('signed')];
    }
}
