<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Plans\Edition;
use App\Plans\Kept;
use Illuminate\Cache\ArrayStore;
use Illuminate\Cache\NullStore;
use Illuminate\Cache\Repository;
use PHPUnit\Framework\TestCase;
use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Shipped;

final class KeptOfProgramTest extends TestCase
{
    private int $read = 0;

    private Repository $cache;

    protected function setUp(): void
    {
        $this->cache = new Repository(new ArrayStore);
    }

    public function test_the_catalogue_is_read_once_and_is_what_its_files_say(): void
    {
        self::assertEquals(Shipped::catalogue(), $this->of('one', $this->cache));
        self::assertEquals(Shipped::catalogue(), $this->of('one', $this->cache));
        self::assertSame(1, $this->read);
    }

    public function test_what_another_edition_kept_is_not_believed(): void
    {
        $this->of('one', $this->cache);
        $this->of('two', $this->cache);
        self::assertSame(2, $this->read);
        // It took its place.
        $this->of('two', $this->cache);
        self::assertSame(2, $this->read);
    }

    public function test_what_cannot_be_read_is_read_from_the_files_and_kept_again(): void
    {
        foreach (['', 'no list of anything', (string) igbinary_serialize(['a list']), 17] as $broken) {
            $this->cache->put('program.catalogue', ['edition' => 'one', 'stamp' => 'one', 'value' => $broken]);
            $before = $this->read;
            self::assertEquals(Shipped::catalogue(), $this->of('one', $this->cache));
            $this->of('one', $this->cache);
            self::assertSame($before + 1, $this->read);
        }
    }

    public function test_where_nothing_is_kept_it_is_read_all_the_same(): void
    {
        $none = new Repository(new NullStore);
        self::assertEquals(Shipped::catalogue(), $this->of('one', $none));
        self::assertEquals(Shipped::catalogue(), $this->of('one', $none));
        self::assertSame(2, $this->read);
    }

    private function of(string $edition, Repository $cache): Catalogue
    {
        return (new Kept($cache, new Edition($edition)))->ofProgram('catalogue', Catalogue::class, function (): Catalogue {
            $this->read++;

            return Shipped::catalogue();
        });
    }
}
