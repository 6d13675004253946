<?php

declare(strict_types=1);

namespace App\Console;

use App\Plans\Retention;

final class Tidy extends OperatorCommand
{
    protected $signature = 'plan:tidy';

    protected $description = 'Let go of what is kept no longer: old history, ids of old edits, plans deleted long ago, sessions that ended';

    public function handle(Retention $retention): int
    {
        foreach ($retention->letGo() as $what => $count) {
            $this->line("{$what}: {$count}");
        }

        return self::SUCCESS;
    }
}
