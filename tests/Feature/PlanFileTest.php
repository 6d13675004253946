<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanRecord;
use App\Plans\PlanStore;
use Closure;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Format\PlanReader;
use Rundfunk\Format\PlanWriter;
use Rundfunk\Knowledge;
use Symfony\Component\HttpFoundation\Response;
use Tests\Demos;

final class PlanFileTest extends FeatureTestCase
{
    /** @return TestResponse<Response> */
    private function import(string $json): TestResponse
    {
        return $this->call('POST', '/api/plans/import', [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], $json);
    }

    public function test_an_exported_plan_can_be_imported_beside_the_original(): void
    {
        $user = self::user();
        $record = $this->linden($user);
        $file = (string) $this
            ->actingAs($user)
            ->get("/api/plans/{$record->id}/file")
            ->assertHeader('Content-Disposition', 'attachment; filename="linden-hollow.json"')
            ->getContent();
        $id = $this->import($file)->assertCreated()->json('id');
        self::assertNotSame($record->id, $id);
        $again = (string) $this->get("/api/plans/{$id}/file")->getContent();
        self::assertSame(str_replace($record->id, $id, $file), $again);
    }

    public function test_the_import_of_another_users_plan_is_a_plan_of_my_own(): void
    {
        $ann = self::user();
        $record = $this->linden($ann);
        $file = (string) $this->actingAs($ann)->get("/api/plans/{$record->id}/file")->getContent();
        $this->actingAs(self::user('Eve'));
        $id = $this->import($file)->assertCreated()->json('id');
        self::assertNotSame($record->id, $id);
        $this->getJson("/api/plans/{$id}")->assertOk();
    }

    /** @return iterable<string, array{Closure(string): string, string}> */
    public static function bad(): iterable
    {
        yield 'cut short' => [static fn (string $file): string => substr($file, 0, 500), '/'];
        yield 'ten megabytes of brackets' => [static fn (): string => str_repeat('[', 10_000_000), '/'];
        yield 'a name that is a number' => [
            static fn (string $file): string => str_replace('"name": "Pocket A"', '"name": 7', $file),
            '/nodes/',
        ];
        yield 'a hundred thousand nodes' => [
            static fn (string $file): string => str_replace('"nodes": [', '"nodes": ['.str_repeat('{},', 100_000), $file),
            '/nodes',
        ];
        yield 'nothing' => [static fn (): string => '', '/'];
    }

    /** @param  Closure(string): string  $spoil */
    #[DataProvider('bad')]
    public function test_a_bad_file_is_refused_whole(Closure $spoil, string $place): void
    {
        $file = (new PlanWriter)->write(Demos::lindenHollow());
        $this->actingAs(self::user());
        $problem = $this->import($spoil($file))->assertUnprocessable()->json('problems.0.place');
        self::assertStringStartsWith($place, $problem);
        self::assertSame(0, PlanRecord::query()->count());
    }

    public function test_a_plan_whose_id_is_taken_at_that_moment_gets_another(): void
    {
        $user = self::user();
        $plan = (new PlanReader(app(Knowledge::class)))->read((string) file_get_contents(dirname(__DIR__, 2).'/docs/examples/linden-hollow.json'));
        // Between the question whether the id is free and the plan, another takes it.
        PlanRecord::creating(static function () use ($plan): void {
            PlanRecord::flushEventListeners();
            DB::table('plans')->insert(['id' => $plan->properties->id, 'version' => 1, 'name' => 'Quicker', 'region' => 'eu', 'busy_wifi' => '[]', 'note' => '']);
        });
        $made = app(PlanStore::class)->create($user, $plan);
        self::assertNotSame($plan->properties->id, $made->id);
        self::assertSame([$made->id], PlanRecord::query()->pluck('id')->all(), 'the other went with the transaction that it was put into here');
    }

    public function test_an_edit_of_more_than_a_megabyte_is_refused_before_it_is_read(): void
    {
        $user = self::user();
        $plan = $this->linden($user);
        $this->actingAs($user);
        $this->edit($plan, 1, ['op' => 'change', 'kind' => 'plan', 'id' => $plan->id, 'values' => ['note' => str_repeat('a', 1_000_001)]])->assertStatus(413);
        $this->call('POST', '/api/plans/import', content: str_repeat(' ', 12_000_001), server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'])->assertStatus(413);
    }
}
