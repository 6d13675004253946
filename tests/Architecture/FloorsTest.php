<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule as LayerRule;
use PHPat\Test\PHPat;

/** The floors of the house: front end → application → core. Checked by the static analysis. */
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

    #[TestRule]
    public function media_do_not_reach_into_each_other(): LayerRule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Rundfunk\Plan'), Selector::inNamespace('Rundfunk\Edit'), Selector::inNamespace('Rundfunk\Pins'), Selector::inNamespace('Rundfunk\Frame'), Selector::inNamespace('Rundfunk\Routes'), Selector::inNamespace('Rundfunk\Timing'), Selector::inNamespace('Rundfunk\Build'), Selector::inNamespace('Rundfunk\Overview'))
            ->shouldNot()->dependOn()
            ->classes(Selector::inNamespace('Rundfunk\Medium\PacketRadio'), Selector::inNamespace('Rundfunk\Medium\Infrared'), Selector::inNamespace('Rundfunk\Medium\KeyedRadio'), Selector::inNamespace('Rundfunk\Medium\Cellular'), Selector::inNamespace('Rundfunk\Medium\Ip'))
            ->because('what holds for every medium asks through the small interfaces');
    }
}
