<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

// The database's usual order takes ö for o: böb@… signed in as bob@…. Small and capital letters are one all the same, for
// addresses are kept in small ones.
return new class extends Migration
{
    public function up(): void
    {
        DB::update('update users set email = lower(email)');
        DB::statement('alter table users modify email varchar(190) character set utf8mb4 collate utf8mb4_bin not null');
    }

    public function down(): void
    {
        DB::statement('alter table users modify email varchar(190) character set utf8mb4 collate utf8mb4_unicode_ci not null');
    }
};
