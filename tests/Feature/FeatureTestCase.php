<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\PlanRecord;
use App\Models\User;
use App\Plans\PlanStore;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as FrameworkTestCase;
use Illuminate\Support\Facades\Hash;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;
use Tests\Demos;

/** Tests of the application over its JSON interface, with the real database. */
abstract class FeatureTestCase extends FrameworkTestCase
{
    use ReadsFirstLooks;
    use RefreshDatabase;

    /** @var array<string, list<string>> what a screen shows while it edits, by view */
    protected array $onScreen = [];

    public function createApplication(): Application
    {
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    protected static function user(string $name = 'Ann'): User
    {
        return User::query()->create(['name' => $name, 'email' => strtolower($name).'@linden-hollow.example', 'password' => Hash::make('a long password')]);
    }

    protected function linden(User $user): PlanRecord
    {
        return app(PlanStore::class)->create($user, Demos::lindenHollow());
    }

    protected function faulty(User $user): PlanRecord
    {
        return app(PlanStore::class)->create($user, Demos::faultyOnPurpose());
    }

    /**
     * @param  array<string, mixed>  ...$operations
     * @return TestResponse<Response>
     */
    protected function edit(PlanRecord $plan, int $version, array ...$operations): TestResponse
    {
        return $this->postJson("/api/plans/{$plan->id}/operations", ['version' => $version, 'label' => 'Test', 'operations' => array_values($operations), 'views' => $this->onScreen]);
    }

    /** @return array<string, mixed> */
    protected static function rename(string $id, string $name): array
    {
        return ['op' => 'change', 'kind' => 'node', 'id' => $id, 'values' => ['name' => $name]];
    }
}
