<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanRecord;
use App\Models\User;

/** What screens ask for besides the plan. */
final class ViewTest extends FeatureTestCase
{
    private User $user;

    private PlanRecord $plan;

    protected function setUp(): void
    {
        parent::setUp();
        $this->user = self::user();
        $this->plan = $this->linden($this->user);
        $this->actingAs($this->user);
    }

    public function test_a_view_is_of_what_it_is_asked_of_and_bears_the_plans_version(): void
    {
        $nodes = array_slice(array_column(self::document($this->getJson("/api/plans/{$this->plan->id}"))['nodes'], 'id'), 0, 2);
        $answer = $this->getJson("/api/plans/{$this->plan->id}/views/pin-table?of=".implode(',', $nodes))->assertOk()->assertJsonPath('version', 1);
        self::assertSame($nodes, array_column($answer->json('parts'), 'of'));
        $this->getJson("/api/plans/{$this->plan->id}/views/line-map?of=640")->assertOk()->assertJsonPath('parts.0.shows.bands.0.width', 640);
    }

    public function test_what_is_asked_wrongly_is_said(): void
    {
        $this->getJson("/api/plans/{$this->plan->id}/views/crystal-ball")->assertNotFound();
        // What somebody else has removed meanwhile is not there, and does not keep the rest from being shown.
        $gone = '01ARZ3NDEKTSV4RRFFQ69G5FAV';
        $node = self::document($this->getJson("/api/plans/{$this->plan->id}"))['nodes'][0]['id'];
        $parts = $this->getJson("/api/plans/{$this->plan->id}/views/pin-table?of={$gone},{$node}")->assertOk()->json('parts');
        self::assertSame([[$gone, true], [$node, false]], array_map(static fn (array $part): array => [$part['of'], $part['shows'] === null], $parts));
        $this->getJson("/api/plans/{$this->plan->id}/views/pin-table?of=".str_repeat('x,', 60))->assertUnprocessable();
        $this->getJson("/api/plans/{$this->plan->id}/views/pin-table?of[]=x")->assertOk()->assertJsonPath('parts', []);
    }

    /** A screen that names a view there is not is refused before anything is kept, not after. */
    public function test_an_edit_that_names_no_view_changes_nothing(): void
    {
        $node = self::document($this->getJson("/api/plans/{$this->plan->id}"))['nodes'][0]['id'];
        foreach ([['crystal-ball' => ['x']], ['pin-table' => 'x'], ['pin-table' => [7]], 'pin-table', ['pin-table' => array_fill(0, 51, 'x')]] as $views) {
            $this->postJson("/api/plans/{$this->plan->id}/operations", ['version' => 1, 'label' => 'x', 'views' => $views, 'operations' => [self::rename($node, 'New')]])->assertUnprocessable();
            $this->postJson("/api/plans/{$this->plan->id}/undo", ['views' => $views])->assertUnprocessable();
        }
        self::assertSame(1, $this->plan->refresh()->version);
    }

    public function test_an_edit_brings_what_it_changed_on_screen_and_leaves_out_the_rest(): void
    {
        $plan = self::document($this->getJson("/api/plans/{$this->plan->id}"));
        // A module that is wired, so that its name stands in its node's table of pins.
        $module = array_column($plan['modules'], null, 'id')[$plan['pinUses'][0]['moduleId']];
        $first = $module['nodeId'];
        $second = array_values(array_diff(array_column($plan['nodes'], 'id'), [$first]))[0];
        $this->onScreen = ['pin-table' => [$first, $second, '01ARZ3NDEKTSV4RRFFQ69G5FAV']];
        $answer = $this->edit($this->plan, 1, ['op' => 'change', 'kind' => 'module', 'id' => $module['id'], 'values' => ['name' => 'Renamed']])->assertOk();
        self::assertContains($first, array_column($answer->json('views.pin-table'), 'of'));
        self::assertStringContainsString('Renamed', (string) json_encode($answer->json('views.pin-table')));
        self::assertArrayNotHasKey('link-panel', $answer->json('views'));
    }

    public function test_the_line_map_is_a_file_to_print(): void
    {
        $route = self::document($this->getJson("/api/plans/{$this->plan->id}"))['routes'][0]['id'];
        $plain = $this->get("/api/plans/{$this->plan->id}/line-map.svg")->assertOk()->assertHeader('Content-Disposition', 'attachment; filename="linden-hollow.svg"');
        self::assertStringNotContainsString('class="traced"', (string) $plain->getContent());
        self::assertStringContainsString('class="traced"', (string) $this->get("/api/plans/{$this->plan->id}/line-map.svg?route={$route}")->assertOk()->getContent());
    }

    public function test_long_answers_are_sent_compressed_to_whoever_takes_that(): void
    {
        $plain = $this->getJson("/api/plans/{$this->plan->id}")->assertOk();
        $zipped = $this->getJson("/api/plans/{$this->plan->id}", ['Accept-Encoding' => 'gzip'])->assertOk();
        self::assertSame('gzip', $zipped->headers->get('Content-Encoding'));
        self::assertSame('Accept-Encoding', $zipped->headers->get('Vary'));
        self::assertSame($plain->getContent(), gzdecode((string) $zipped->getContent()));
        self::assertLessThan(strlen((string) $plain->getContent()) / 3, strlen((string) $zipped->getContent()));
        self::assertFalse($this->getJson('/api/session', ['Accept-Encoding' => 'gzip'])->headers->has('Content-Encoding'), 'a short one is not worth it');
    }
}
