<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\EditId;
use App\Models\PlanRecord;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** Edits that are sent again, and edits of two people who look at one version. */
final class EditAgainTest extends FeatureTestCase
{
    private const ONE = '01ARZ3NDEKTSV4RRFFQ69G5FA1';

    private const TWO = '01ARZ3NDEKTSV4RRFFQ69G5FA2';

    private PlanRecord $plan;

    /** @var list<string> ids */
    private array $nodes;

    protected function setUp(): void
    {
        parent::setUp();
        $user = self::user();
        $this->plan = $this->linden($user);
        $this->actingAs($user);
        $this->nodes = array_column(self::document($this->look())['nodes'], 'id');
    }

    /** @return TestResponse<Response> */
    private function look(): TestResponse
    {
        return $this->getJson("/api/plans/{$this->plan->id}")->assertOk();
    }

    /**
     * @param  array<string, mixed>  $operation
     * @param  array<string, mixed>  $more
     * @return TestResponse<Response>
     */
    private function send(int $version, array $operation, array $more = []): TestResponse
    {
        return $this->postJson("/api/plans/{$this->plan->id}/operations", ['version' => $version, 'label' => 'Test', 'operations' => [$operation], 'views' => ['pin-table' => [$this->nodes[0]]], ...$more]);
    }

    /**
     * @param  array<string, mixed>  $more
     * @return TestResponse<Response>
     */
    private function replay(string $what, array $more): TestResponse
    {
        return $this->postJson("/api/plans/{$this->plan->id}/{$what}", ['views' => [], ...$more]);
    }

    /**
     * @param  array<string, mixed>  $held
     * @param  TestResponse<Response>  $answer
     * @return array<string, mixed> the workspace after an answer was put into it, as the screen does
     */
    private static function putInto(array $held, TestResponse $answer): array
    {
        self::assertSame($held['version'], $answer->json('from'));
        foreach ($answer->json('things') as $list => ['put' => $put, 'gone' => $gone]) {
            $left = array_filter($held['document'][$list], static fn (array $one): bool => ! in_array($one['id'], [...$gone, ...array_column($put, 'id')], true));
            $held['document'][$list] = [...$left, ...$put];
            usort($held['document'][$list], static fn (array $one, array $other): int => strcmp((string) $one['id'], (string) $other['id']));
        }
        $held['document']['plan'] = $answer->json('plan');
        $findings = array_column([...$held['findings'], ...$answer->json('findings.put')], null, 'id');

        return [...$held, 'version' => $answer->json('version'), 'history' => $answer->json('history'), 'findings' => array_map(static fn (string $id): array => $findings[$id], $answer->json('findings.order'))];
    }

    public function test_an_edit_that_comes_again_is_answered_and_not_done_again(): void
    {
        $held = self::workspace($this->look());
        $toggle = ['op' => 'add', 'kind' => 'place', 'id' => '01ARZ3NDEKTSV4RRFFQ69G5FAV', 'values' => ['name' => 'New']];
        $this->send(1, $toggle, ['id' => self::ONE])->assertOk()->assertJsonPath('kept', 2);
        $again = $this->send(1, $toggle, ['id' => self::ONE])->assertOk()->assertJsonPath('kept', 2)->assertJsonPath('version', 2);
        self::assertEquals(self::workspace($this->look()), self::putInto($held, $again));
        self::assertSame(1, EditId::query()->count());
    }

    public function test_it_is_answered_with_what_others_did_since(): void
    {
        $held = self::workspace($this->look());
        $this->send(1, self::rename($this->nodes[0], 'Mine'), ['id' => self::ONE])->assertOk();
        $this->send(2, self::rename($this->nodes[1], 'Theirs'))->assertOk();
        $this->send(3, ['op' => 'remove', 'kind' => 'node', 'id' => $this->nodes[2], 'values' => []])->assertOk();
        $again = $this->send(1, self::rename($this->nodes[0], 'Mine'), ['id' => self::ONE, 'held' => 1])->assertOk()->assertJsonPath('kept', 2)->assertJsonPath('version', 4);
        self::assertEquals(self::workspace($this->look()), self::putInto($held, $again));
        self::assertSame($this->nodes[0], $again->json('views.pin-table.0.of'));
    }

    public function test_an_id_of_somebody_elses_edit_is_refused(): void
    {
        $this->send(1, self::rename($this->nodes[0], 'Mine'), ['id' => self::ONE])->assertOk();
        $bob = self::user('Bob');
        $his = $this->linden($bob);
        $this->actingAs($bob);
        $this->postJson("/api/plans/{$his->id}/operations", ['version' => 1, 'label' => '', 'operations' => [self::rename($this->nodes[0], 'His')], 'id' => self::ONE])->assertUnprocessable()->assertJsonPath('problems.0.place', '/id');
        foreach ([['id' => 'x'], ['client' => 7], ['held' => 'one']] as $wrong) {
            $this->postJson("/api/plans/{$his->id}/operations", ['version' => 1, 'label' => '', 'operations' => [self::rename($this->nodes[0], 'His')], ...$wrong])->assertUnprocessable();
        }
    }

    public function test_undo_and_redo_that_come_again_are_done_once(): void
    {
        $this->send(1, self::rename($this->nodes[0], 'One'))->assertOk();
        $of = $this->send(2, self::rename($this->nodes[0], 'Two'))->assertOk()->json('history.undoOf');
        $this->replay('undo', ['id' => self::ONE, 'of' => $of])->assertOk()->assertJsonPath('version', 4);
        $this->replay('undo', ['id' => self::ONE, 'of' => $of])->assertOk()->assertJsonPath('version', 4)->assertJsonPath('kept', 4);
        self::assertSame('One', array_column(self::document($this->look())['nodes'], 'name', 'id')[$this->nodes[0]]);
        // What is meant is not what would be next: another tab was quicker.
        $this->replay('undo', ['id' => self::TWO, 'of' => $of])->assertConflict();
        $this->replay('redo', ['id' => self::TWO, 'of' => $of])->assertOk()->assertJsonPath('version', 5);
        $this->replay('redo', ['id' => self::TWO, 'of' => $of])->assertOk()->assertJsonPath('version', 5);
        self::assertSame('Two', array_column(self::document($this->look())['nodes'], 'name', 'id')[$this->nodes[0]]);
    }

    public function test_edits_of_different_things_made_of_one_version_are_both_kept(): void
    {
        $held = self::workspace($this->look());
        $this->send(1, self::rename($this->nodes[0], 'Mine'), ['client' => self::ONE])->assertOk();
        $answer = $this->send(1, self::rename($this->nodes[1], 'Theirs'), ['client' => self::TWO, 'held' => 1])->assertOk()->assertJsonPath('version', 3);
        $now = self::workspace($this->look());
        self::assertEquals($now, self::putInto($held, $answer));
        self::assertSame(['Mine', 'Theirs'], array_values(array_intersect_key(array_column($now['document']['nodes'], 'name', 'id'), array_flip([$this->nodes[0], $this->nodes[1]]))));
    }

    public function test_what_is_at_odds_with_anothers_edit_is_shown_and_ones_own_never_is(): void
    {
        $this->send(1, self::rename($this->nodes[0], 'Mine'), ['client' => self::ONE])->assertOk();
        $this->send(1, self::rename($this->nodes[0], 'Theirs'), ['client' => self::TWO])->assertConflict()->assertJsonPath('since.0.label', 'Test');
        $this->send(1, self::rename($this->nodes[0], 'Mine again'), ['client' => self::ONE])->assertOk();
        $this->send(1, ['op' => 'remove', 'kind' => 'node', 'id' => $this->nodes[0], 'values' => []], ['client' => self::TWO])->assertConflict();
    }

    public function test_what_another_took_back_counts_as_what_he_did(): void
    {
        $this->send(1, self::rename($this->nodes[0], 'Mine'), ['client' => self::ONE])->assertOk();
        $this->replay('undo', [])->assertOk();
        $this->send(2, self::rename($this->nodes[0], 'Theirs'), ['client' => self::TWO])->assertConflict();
        $this->send(2, self::rename($this->nodes[1], 'Theirs'), ['client' => self::TWO])->assertOk();
    }

    public function test_what_was_worked_out_of_a_version_holds_for_no_other(): void
    {
        $this->send(1, self::rename($this->nodes[0], 'Mine'), ['client' => self::ONE])->assertOk();
        $this->send(1, self::rename($this->nodes[1], 'Proposed'), ['client' => self::TWO, 'exact' => true])->assertConflict();
        $this->send(2, self::rename($this->nodes[1], 'Proposed'), ['client' => self::TWO, 'exact' => true])->assertOk();
    }

    public function test_what_came_since_can_be_asked_for(): void
    {
        $changes = "/api/plans/{$this->plan->id}/changes";
        $held = self::workspace($this->look());
        $this->get("{$changes}?since=1")->assertStatus(304);
        $this->send(1, self::rename($this->nodes[0], 'Mine'))->assertOk();
        $this->replay('undo', [])->assertOk();
        $this->send(3, ['op' => 'remove', 'kind' => 'node', 'id' => $this->nodes[1], 'values' => []])->assertOk();
        $answer = $this->getJson("{$changes}?since=1&views=".urlencode('{"line-map":["640"]}'))->assertOk();
        self::assertEquals(self::workspace($this->look()), self::putInto($held, $answer));
        self::assertCount(1, $answer->json('views.line-map'));
        $this->getJson("{$changes}?since=1&views=rubbish")->assertUnprocessable();
        self::assertSame(0, $this->getJson("{$changes}?since=99")->assertOk()->json('from'), 'what never was is read anew');
        self::assertSame(4, $this->getJson("{$changes}?since=0")->assertOk()->json('version'));
    }
}
