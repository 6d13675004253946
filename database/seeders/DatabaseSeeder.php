<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\User;
use App\Plans\PlanStore;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\Hash;
use Rundfunk\Assign\Assigner;
use Rundfunk\Demo\FaultyOnPurpose;
use Rundfunk\Demo\LindenHollow;

/** The demo account with its two plans. Seeding again leaves an existing account alone. */
final class DatabaseSeeder extends Seeder
{
    public function run(PlanStore $store, Assigner $assigner): void
    {
        if (User::query()->where('email', 'demo@linden-hollow.example')->exists()) {
            return;
        }
        $user = User::query()->create([
            'name' => 'Demo',
            'email' => 'demo@linden-hollow.example',
            'password' => Hash::make('linden hollow'),
        ]);
        $store->create($user, FaultyOnPurpose::plan($assigner));
        $store->create($user, LindenHollow::plan($assigner));
    }
}
