<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\OpenApi\Components;
use App\OpenApi\Description;
use Illuminate\Support\Facades\Route;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use Rundfunk\Knowledge;
use Rundfunk\Plan\Thing;
use Rundfunk\View\Views;
use Tests\Demos;

/** The published description of the interface against the routes and the answers. */
final class DescriptionTest extends FeatureTestCase
{
    public function test_every_route_is_described_and_every_description_has_a_route(): void
    {
        $described = [];
        foreach (Description::document(app(Knowledge::class), app(Views::class))['paths'] as $path => $methods) {
            foreach (array_keys($methods) as $method) {
                $described[] = strtoupper($method).' '.$path;
            }
        }
        $routed = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/')) {
                $routed[] = array_values(array_diff($route->methods(), ['HEAD']))[0].' /'.$route->uri();
            }
        }
        sort($described);
        sort($routed);
        self::assertSame($routed, $described);
    }

    public function test_answers_obey_their_description(): void
    {
        $user = self::user();
        $plan = $this->faulty($user);
        $this->actingAs($user);
        $node = Demos::faultyOnPurpose()->nodes()[1]->id;
        foreach ([
            '/api/session' => 'Session', '/api/plans' => 'PlanList', '/api/catalogue' => 'Catalogue', '/api/calculators' => 'Calculators', "/api/plans/{$plan->id}" => 'Workspace',
            "/api/plans/{$plan->id}/assignment" => 'Assignment', "/api/plans/{$plan->id}/history" => 'History', "/api/plans/{$plan->id}/nodes/{$node}/sheet" => 'NodeSheet',
        ] as $path => $name) {
            $schema = ['$ref' => '#/components/schemas/'.$name, 'components' => ['schemas' => Components::of(app(Knowledge::class)->media, app(Views::class))]];
            $result = (new Validator)->validate(json_decode((string) $this->getJson($path)->assertOk()->getContent()), json_encode($schema, JSON_THROW_ON_ERROR));
            self::assertTrue($result->isValid(), $path.' '.json_encode($result->error() === null ? null : (new ErrorFormatter)->format($result->error())));
        }
    }

    /** What every view shows of everything in both demos obeys the shape that is drawn from its classes. */
    public function test_what_views_show_obeys_their_description(): void
    {
        $components = Components::of(app(Knowledge::class)->media, app(Views::class));
        foreach ([Demos::lindenHollow(), Demos::faultyOnPurpose()] as $plan) {
            foreach (app(Views::class)->all() as $view) {
                // Read once for all that is shown: to read it takes longer than to hold something against it.
                $validator = new Validator;
                $schema = $validator->loader()->loadObjectSchema(json_decode(json_encode([...$components['Views']['properties'][$view->key()], 'components' => ['schemas' => $components]], JSON_THROW_ON_ERROR)));
                $owner = $view->owner();
                $of = $owner === null ? [] : array_map(static fn (Thing $thing): string => $thing->id(), $plan->of($owner));
                $shown = array_filter(array_column(app(Views::class)->show($view->key(), $of, $plan), 'shows'));
                self::assertNotSame([], $shown, $view->key());
                foreach ($shown as $one) {
                    $result = $validator->validate(json_decode(json_encode($one, JSON_THROW_ON_ERROR)), $schema);
                    self::assertTrue($result->isValid(), $view->key().' '.json_encode($result->error() === null ? null : (new ErrorFormatter)->format($result->error())));
                }
            }
        }
    }
}
