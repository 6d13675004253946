<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule as LayerRule;
use PHPat\Test\PHPat;

/** The floors of the house: front end → application → core. Checked by the static analysis; the core's own rooms by RoomsTest. */
final class FloorsTest
{
    #[TestRule]
    public function the_core_knows_nothing_above_it(): LayerRule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Rundfunk'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('App'), Selector::inNamespace('Illuminate'), Selector::inNamespace('Laravel'), Selector::inNamespace('Database'))
            ->because('the core is plain PHP, usable from the command line without framework or database');
    }
}
