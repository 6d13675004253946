<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Rundfunk\Drawing\Fitted;

final class FittedTest extends TestCase
{
    /** @param  list<string>  $rows */
    #[TestWith(['Hen house', ['Hen house']])]
    #[TestWith(['Propagation bench', ['Propagation', 'bench']])]
    #[TestWith(['Incomprehensibilities', ['Incomprehe…']])]
    #[TestWith(['Kühlräume äußere Halle', ['Kühlräume', 'äußere Hal…']])]
    #[TestWith(['', ['']])]
    public function test_long_names_stand_on_two_rows_and_are_cut(string $name, array $rows): void
    {
        self::assertSame($rows, Fitted::onTwoLines($name, 11));
    }
}
