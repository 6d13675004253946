<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanRecord;
use Closure;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Rundfunk\Assign\Assigner;
use Rundfunk\Demo\LindenHollow;
use Rundfunk\Format\PlanWriter;
use Symfony\Component\HttpFoundation\Response;

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
        $record = $this->linden(self::user());
        $file = (string) $this->actingAs($record->user)->get("/api/plans/{$record->id}/file")->getContent();
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
        $file = (new PlanWriter)->write(LindenHollow::plan(app(Assigner::class)));
        $this->actingAs(self::user());
        $problem = $this->import($spoil($file))->assertUnprocessable()->json('problems.0.place');
        self::assertStringStartsWith($place, $problem);
        self::assertSame(0, PlanRecord::query()->count());
    }
}
