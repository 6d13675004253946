<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanMember;
use App\Models\PlanRecord;
use App\Models\User;
use App\Plans\Access;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;

final class EditTest extends FeatureTestCase
{
    private User $ann;

    private PlanRecord $plan;

    /** @var list<array<string, mixed>> */
    private array $nodes;

    protected function setUp(): void
    {
        parent::setUp();
        $this->ann = self::user();
        $this->plan = $this->linden($this->ann);
        $this->actingAs($this->ann);
        $this->nodes = self::document($this->look())['nodes'];
    }

    /** @return TestResponse<Response> */
    private function look(): TestResponse
    {
        return $this->getJson("/api/plans/{$this->plan->id}")->assertOk();
    }

    /** @return TestResponse<Response> */
    private function undo(): TestResponse
    {
        return $this->postJson("/api/plans/{$this->plan->id}/undo", ['views' => $this->onScreen]);
    }

    /** @return TestResponse<Response> */
    private function redo(): TestResponse
    {
        return $this->postJson("/api/plans/{$this->plan->id}/redo", ['views' => $this->onScreen]);
    }

    /** @param  array<string, mixed>  $document */
    private static function packetLink(array $document): string
    {
        return array_column(array_filter($document['links'], static fn (array $link): bool => $link['medium'] === 'packet-radio'), 'id')[0];
    }

    public function test_an_edit_answers_with_the_new_version_and_its_findings_and_is_kept(): void
    {
        $link = self::packetLink(self::document($this->look()));
        $answer = $this->edit($this->plan, 1, ['op' => 'change', 'kind' => 'link', 'id' => $link, 'values' => ['settings' => ['channel' => 6]]])->assertOk();
        self::assertSame(2, $answer->json('version'));
        self::assertContains('packet-channel-under-wifi', array_column($answer->json('findings.put'), 'rule'));
        $looked = $this->look();
        self::assertSame($answer->json('findings.order'), array_column($looked->json('findings'), 'id'));
        self::assertNotSame([], array_diff($answer->json('findings.order'), array_column($answer->json('findings.put'), 'id')), 'those that say what they said are not sent again');
    }

    public function test_a_stale_edit_is_refused_with_what_was_done_since(): void
    {
        $this->edit($this->plan, 1, self::rename($this->nodes[0]['id'], 'First'))->assertOk();
        $before = self::document($this->look());
        $this->edit($this->plan, 1, self::rename($this->nodes[0]['id'], 'Second'))
            ->assertConflict()->assertJsonPath('version', 2)->assertJsonPath('since.0.by', 'Ann')->assertJsonPath('since.0.label', 'Test');
        self::assertSame($before, self::document($this->look()));
    }

    public function test_the_same_edit_sent_twice_is_done_once(): void
    {
        $before = count((array) self::document($this->look())['places']);
        $add = ['op' => 'add', 'kind' => 'place', 'id' => '01ARZ3NDEKTSV4RRFFQ69G5FAV', 'values' => ['name' => 'New']];
        $this->edit($this->plan, 1, $add)->assertOk();
        $this->edit($this->plan, 1, $add)->assertConflict();
        self::assertCount($before + 1, (array) self::document($this->look())['places']);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no version' => [['operations' => [['op' => 'x']]], '/version'];
        yield 'version as text' => [['version' => '1', 'operations' => [['op' => 'x']]], '/version'];
        yield 'no operations' => [['version' => 1], '/operations'];
        yield 'operations as text' => [['version' => 1, 'operations' => 'all'], '/operations'];
        yield 'too many' => [['version' => 1, 'operations' => array_fill(0, 5001, [])], '/operations'];
        yield 'unknown verb' => [
            ['version' => 1, 'operations' => [['op' => 'explode', 'kind' => 'node', 'id' => 'x']]],
            '/operations/0/op',
        ];
        yield 'unknown id' => [
            ['version' => 1, 'operations' => [['op' => 'remove', 'kind' => 'node', 'id' => 'x']]],
            '/operations/0/id',
        ];
        yield 'label as a list' => [['version' => 1, 'label' => [], 'operations' => [['op' => 'x']]], '/label'];
    }

    /** @param  array<string, mixed>  $body */
    #[DataProvider('wrong')]
    public function test_a_wrong_edit_is_refused_at_its_place_and_nothing_is_lost(array $body, string $place): void
    {
        $before = self::document($this->look());
        $this->postJson("/api/plans/{$this->plan->id}/operations", $body)
            ->assertUnprocessable()
            ->assertJsonPath('problems.0.place', $place);
        self::assertSame($before, self::document($this->look()));
    }

    /** @return iterable<string, array{mixed, int}> value, status */
    public static function values(): iterable
    {
        yield 'a value' => [-3, 200];
        yield 'none' => [null, 200];
        yield 'the farthest' => [10_000, 200];
        yield 'too far' => [10_001, 422];
        yield 'a fraction' => [1.5, 422];
        yield 'text' => ['3', 422];
        yield 'a list' => [[3], 422];
    }

    /** A route's value is kept, and what is none is refused at its place. */
    #[DataProvider('values')]
    public function test_a_route_s_value_is_a_whole_number_or_none(mixed $value, int $status): void
    {
        $route = self::document($this->look())['routes'][0]['id'];
        $answer = $this->edit($this->plan, 1, ['op' => 'change', 'kind' => 'route', 'id' => $route, 'values' => ['action' => 'set', 'value' => $value]])->assertStatus($status);
        if ($status === 422) {
            $answer->assertJsonPath('problems.0.place', '/operations/0/values/value');
        } else {
            self::assertSame($value, array_column(self::document($this->look())['routes'], 'value', 'id')[$route]);
            $this->undo()->assertOk();
            self::assertNull(array_column(self::document($this->look())['routes'], 'value', 'id')[$route]);
        }
    }

    public function test_an_edit_is_done_whole_or_not_at_all(): void
    {
        $before = self::document($this->look());
        $this->edit($this->plan, 1, self::rename($this->nodes[0]['id'], 'Good'), self::rename($this->nodes[1]['id'], ''))
            ->assertUnprocessable()->assertJsonPath('problems.0.place', '/operations/1/values/name');
        self::assertSame($before, self::document($this->look()));
    }

    public function test_a_thing_of_another_plan_is_unknown_here(): void
    {
        $other = $this->faulty($this->ann);
        $foreign = self::document($this->getJson("/api/plans/{$other->id}"))['nodes'][0]['id'];
        $this->edit($this->plan, 1, self::rename($foreign, 'Mine'))
            ->assertUnprocessable()
            ->assertJsonPath('problems.0.place', '/operations/0/id');
    }

    public function test_undo_and_redo_go_back_and_forth_to_the_byte(): void
    {
        $documents = [self::document($this->look())];
        $this->edit($this->plan, 1, self::rename($this->nodes[0]['id'], 'One'))->assertOk();
        $documents[] = self::document($this->look());
        $this->edit($this->plan, 2, ['op' => 'remove', 'kind' => 'node', 'id' => $this->nodes[3]['id']])->assertOk();
        $documents[] = self::document($this->look());

        $this->undo()->assertOk();
        self::assertSame($documents[1], self::document($this->look()));
        $this->undo()->assertOk();
        self::assertSame($documents[0], self::document($this->look()));
        $this->undo()->assertConflict();
        $this->redo()->assertOk();
        self::assertSame($documents[1], self::document($this->look()));
        $this->redo()->assertOk();
        self::assertSame($documents[2], self::document($this->look()));
        $this->redo()->assertConflict();
        $this->undo()->assertOk();
        self::assertSame($documents[1], self::document($this->look()));
    }

    /** The front end never asks for the whole again: what it holds after many edits must be what it would be told. */
    public function test_answers_put_one_after_another_into_what_was_there_give_what_a_fresh_look_gives(): void
    {
        $held = self::workspace($this->look());
        $link = self::packetLink($held['document']);
        $route = $held['document']['routes'][0]['id'];
        $ids = static fn (string $list): array => array_column($held['document'][$list], 'id');
        $this->onScreen = ['route-way' => array_slice($ids('routes'), 0, 50), 'output-masters' => array_slice($ids('outputs'), 0, 50), 'pin-table' => $ids('nodes'), 'link-panel' => $ids('links'), 'code-grid' => $ids('nodes'), 'line-map' => ['640'], 'all-off' => ['']];
        $shown = $this->shown();
        $steps = [
            fn (int $version): TestResponse => $this->edit($this->plan, $version, self::rename($this->nodes[0]['id'], 'Other name')),
            fn (int $version): TestResponse => $this->edit($this->plan, $version, ['op' => 'remove', 'kind' => 'node', 'id' => $this->nodes[3]['id']]),
            fn (int $version): TestResponse => $this->edit($this->plan, $version, ['op' => 'change', 'kind' => 'link', 'id' => $link, 'values' => ['settings' => ['channel' => 6]]]),
            fn (int $version): TestResponse => $this->edit($this->plan, $version, ['op' => 'add', 'kind' => 'node', 'id' => '01ARZ3NDEKTSV4RRFFQ69G5FAV', 'values' => ['name' => 'New', 'kind' => 'fixture']]),
            fn (int $version): TestResponse => $this->edit($this->plan, $version, ['op' => 'change', 'kind' => 'plan', 'id' => $held['document']['plan']['id'], 'values' => ['busyWifi' => [13]]]),
            fn (): TestResponse => $this->undo(),
            fn (): TestResponse => $this->undo(),
            fn (): TestResponse => $this->undo(),
            fn (): TestResponse => $this->undo(),
            fn (): TestResponse => $this->redo(),
            fn (int $version): TestResponse => $this->edit($this->plan, $version, ['op' => 'remove', 'kind' => 'route', 'id' => $route]),
        ];
        $earlier = [];
        foreach ($steps as $step) {
            $earlier[] = $held;
            $answer = $step($held['version'])->assertOk()->json();
            self::assertSame($held['version'], $answer['from']);
            $held = self::putInto($held, $answer);
            self::assertSame(self::sorted(self::workspace($this->look())), self::sorted($held));
            foreach ($answer['views'] as $view => $parts) {
                $shown[$view] = array_column($parts, 'shows', 'of') + $shown[$view];
            }
            // What an edit took away is on no screen any more.
            foreach ($this->onScreen as $view => $of) {
                $this->onScreen[$view] = array_values(array_filter($of, static fn (string $one): bool => $one === '' || is_numeric($one) || str_contains(json_encode($held['document'], JSON_THROW_ON_ERROR), "\"id\":\"{$one}\"")));
                $shown[$view] = array_intersect_key($shown[$view], array_flip($this->onScreen[$view]));
            }
            self::assertEquals($this->shown(), $shown);
        }
        // And from each version there was, all that came since leads to the same.
        foreach ($earlier as $before) {
            $since = $this->getJson("/api/plans/{$this->plan->id}/changes?since={$before['version']}")->assertOk()->json();
            self::assertSame(self::sorted($held), self::sorted(self::putInto($before, $since)));
        }
        self::assertLessThan(count($held['findings']) / 2, count($since['findings']['put'] ?? []), 'of one edit, only what felt it is told');
    }

    /**
     * @param  array<string, mixed>  $held
     * @param  array<string, mixed>  $changes
     * @return array<string, mixed>
     */
    private static function putInto(array $held, array $changes): array
    {
        foreach ($changes['things'] as $plural => $part) {
            $held['document'][$plural] = self::merged($held['document'][$plural], 'id', $part);
        }
        $held['document']['plan'] = $changes['plan'];

        $findings = array_column(self::merged($held['findings'], 'id', $changes['findings']), null, 'id');
        $held['findings'] = array_map(static fn (string $id): array => $findings[$id], $changes['findings']['order']);

        return [...$held, ...array_intersect_key($changes, array_flip(['version', 'history']))];
    }

    /** @return array<string, array<string, mixed>> what is on screen, asked for, by view */
    private function shown(): array
    {
        $shown = [];
        foreach ($this->onScreen as $view => $of) {
            $parts = $this->getJson("/api/plans/{$this->plan->id}/views/{$view}?of=".implode(',', $of))->assertOk()->json('parts');
            $shown[$view] = array_column($parts, 'shows', 'of');
        }

        return $shown;
    }

    /**
     * @param  list<array<string, mixed>>  $list
     * @param  array{put: list<array<string, mixed>>, gone: list<string>}  $part
     * @return list<array<string, mixed>>
     */
    private static function merged(array $list, string $key, array $part): array
    {
        return array_values([...array_diff_key(array_column($list, null, $key), array_flip($part['gone'])), ...array_column($part['put'], null, $key)]);
    }

    /**
     * The same, its lists by what they go by: the order in which they come is nobody's business.
     *
     * @param  array<string, mixed>  $workspace
     * @return array<string, mixed>
     */
    private static function sorted(array $workspace): array
    {
        foreach ($workspace['document'] as $name => $list) {
            if (is_array($list) && array_is_list($list)) {
                $workspace['document'][$name] = array_column($list, null, 'id');
                ksort($workspace['document'][$name]);
            }
        }
        ksort($workspace);

        return $workspace;
    }

    public function test_after_a_new_edit_there_is_nothing_to_do_again(): void
    {
        $this->edit($this->plan, 1, self::rename($this->nodes[0]['id'], 'One'))->assertOk();
        $this->undo()->assertOk()->assertJsonPath('history.redo', 'Test');
        $this->edit($this->plan, 3, self::rename($this->nodes[0]['id'], 'Two'))->assertOk()->assertJsonPath('history.redo', null);
        $this->redo()->assertConflict();
    }

    public function test_undo_is_refused_when_someone_else_changed_the_same_since(): void
    {
        $this->edit($this->plan, 1, self::rename($this->nodes[0]['id'], 'One'))->assertOk();
        $bob = self::user('Bob');
        PlanMember::put($this->plan->id, $bob, Access::Editor);
        $this->actingAs($bob)->edit($this->plan, 2, self::rename($this->nodes[0]['id'], 'Bob\'s'))->assertOk();
        $this->actingAs($this->ann);
        $this->undo()->assertConflict()->assertJsonPath('message', '"Test" cannot be replayed: Bob has changed the same things since.');
        $this->postJson("/api/plans/{$this->plan->id}/redo", ['views' => $this->onScreen])->assertConflict();
        // What he did stays when he is gone.
        $bob->delete();
        $this->undo()->assertConflict()->assertJsonPath('message', '"Test" cannot be replayed: someone has changed the same things since.');
    }

    public function test_accepting_every_proposal_leaves_nothing_to_assign(): void
    {
        $plan = $this->faulty($this->ann);
        $assignment = $this->getJson("/api/plans/{$plan->id}/assignment")->assertOk();
        self::assertNotSame([], $assignment->json('proposals'));
        $operations = array_merge(...array_column($assignment->json('proposals'), 'operations'));
        $this->postJson("/api/plans/{$plan->id}/operations", ['version' => $assignment->json('version'), 'label' => 'Assign', 'operations' => $operations])->assertOk();
        $this->getJson("/api/plans/{$plan->id}/assignment")->assertJsonPath('proposals', []);
    }

    public function test_history_names_what_was_done_and_by_whom(): void
    {
        $this->edit($this->plan, 1, self::rename($this->nodes[0]['id'], 'One'))->assertOk();
        $this->undo()->assertOk();
        $this->getJson("/api/plans/{$this->plan->id}/history")
            ->assertJsonPath('edits.0.label', 'Test')
            ->assertJsonPath('edits.0.by', 'Ann')
            ->assertJsonPath('edits.0.state', 'undone');
    }
}
