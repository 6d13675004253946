<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Plans\Edition;
use App\Plans\KeptCatalogue;
use PHPUnit\Framework\TestCase;
use Rundfunk\Shipped;

final class KeptCatalogueTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/catalogue-'.bin2hex(random_bytes(8));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), $this->kept());
        rmdir($this->folder);
    }

    public function test_what_was_kept_is_what_the_files_say(): void
    {
        self::assertEquals(Shipped::catalogue(), $this->of('one')->catalogue());
        self::assertCount(1, $this->kept());
        self::assertEquals(Shipped::catalogue(), $this->of('one')->catalogue());
    }

    public function test_it_is_read_from_what_was_kept(): void
    {
        $this->of('one')->catalogue();
        $packed = (string) file_get_contents($this->kept()[0]);
        $name = array_values(Shipped::catalogue()->boards)[0]->name;
        $changed = str_replace($name, strrev($name), $packed);
        self::assertNotSame($packed, $changed);
        file_put_contents($this->kept()[0], $changed);
        self::assertNotEquals(Shipped::catalogue(), $this->of('one')->catalogue());
    }

    public function test_what_another_edition_kept_is_not_believed_and_goes(): void
    {
        $this->of('one')->catalogue();
        file_put_contents($this->kept()[0], igbinary_serialize('something else'));
        self::assertEquals(Shipped::catalogue(), $this->of('two')->catalogue());
        self::assertSame([$this->folder.'/catalogue.two'], $this->kept());
    }

    public function test_what_cannot_be_read_is_read_from_the_files_and_kept_again(): void
    {
        foreach (['', 'no list of anything', (string) igbinary_serialize(['a list'])] as $broken) {
            file_put_contents($this->folder.'/catalogue.one', $broken);
            self::assertEquals(Shipped::catalogue(), $this->of('one')->catalogue());
            self::assertNotSame($broken, file_get_contents($this->folder.'/catalogue.one'));
        }
    }

    public function test_where_nothing_can_be_written_it_is_read_all_the_same(): void
    {
        self::assertEquals(Shipped::catalogue(), (new KeptCatalogue($this->folder.'/none/catalogue', new Edition('one')))->catalogue());
        self::assertSame([], $this->kept());
    }

    private function of(string $edition): KeptCatalogue
    {
        return new KeptCatalogue($this->folder.'/catalogue', new Edition($edition));
    }

    /** @return list<string> */
    private function kept(): array
    {
        $files = glob($this->folder.'/*');

        return $files === false ? [] : $files;
    }
}
