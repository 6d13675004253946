<?php

declare(strict_types=1);

namespace Rundfunk\View;

use Rundfunk\Knowledge;
use Rundfunk\Plan\OwnBoard;
use Rundfunk\Plan\OwnModule;
use Rundfunk\Plan\Plan;
use Rundfunk\View\Shown\BoardOffered;
use Rundfunk\View\Shown\ModuleOffered;
use Rundfunk\View\Shown\OwnClasses;

/** Boards and modules that the plan itself describes, as the catalogue offers its own. */
final readonly class OwnClassesView implements View
{
    public function key(): string
    {
        return 'own-classes';
    }

    public function owner(): null
    {
        return null;
    }

    public function shape(): string
    {
        return OwnClasses::class;
    }

    public function of(string $of, Plan $plan, Knowledge $knowledge): OwnClasses
    {
        return new OwnClasses(
            array_map(static fn (OwnBoard $own): BoardOffered => BoardOffered::of($knowledge->catalogue->boards[$own->key()]), $plan->of(OwnBoard::class)),
            array_map(static fn (OwnModule $own): ModuleOffered => ModuleOffered::of($knowledge->catalogue->modules[$own->key()]), $plan->of(OwnModule::class)),
        );
    }
}
