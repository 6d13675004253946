<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\User;
use App\Plans\PlanStore;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\Hash;
use Rundfunk\Demo\FaultyOnPurpose;
use Rundfunk\Demo\LindenHollow;
use Rundfunk\Knowledge;

/** The demo account with its two plans. Seeding again leaves an existing account alone. */
final class DatabaseSeeder extends Seeder
{
    public function run(PlanStore $store, Knowledge $knowledge): void
    {
        if (User::query()->where('email', 'demo@linden-hollow.example')->exists()) {
            return;
        }
        $user = User::query()->create([
            'name' => 'Demo',
            'email' => 'demo@linden-hollow.example',
            'password' => Hash::make('linden hollow'),
        ]);
        $store->create($user, FaultyOnPurpose::plan($knowledge));
        $store->create($user, LindenHollow::plan($knowledge));
    }
}
