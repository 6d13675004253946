<?php

declare(strict_types=1);

namespace App\Plans;

use Rundfunk\Catalogue\Catalogue;
use Rundfunk\Shipped;

/**
 * The catalogue as this edition of the program put it together from its files: to read a hundred of them takes a tenth of an
 * edit. It can be lost, and is read again; another edition's is never believed.
 */
final readonly class KeptCatalogue
{
    /** @param  string  $file  where it is kept; each edition keeps its own, and takes away what others kept */
    public function __construct(private string $file, private Edition $edition)
    {
    }

    public function catalogue(): Catalogue
    {
        $packed = @file_get_contents($this->ofEdition());
        $kept = $packed === false ? null : @igbinary_unserialize($packed);
        if ($kept instanceof Catalogue) {
            return $kept;
        }
        $catalogue = Shipped::catalogue();
        $this->keep($catalogue);

        return $catalogue;
    }

    /** Another that reads it meanwhile reads all of it or nothing; where it cannot be written, the next reads the files again. */
    private function keep(Catalogue $catalogue): void
    {
        $new = $this->ofEdition().'.'.getmypid();
        if (@file_put_contents($new, Kept::packed($catalogue)) === false) {
            return;
        }
        $all = glob("{$this->file}.*");
        foreach ($all === false ? [] : $all as $other) {
            if ($other !== $new) {
                @unlink($other);
            }
        }
        @rename($new, $this->ofEdition());
    }

    private function ofEdition(): string
    {
        return "{$this->file}.{$this->edition->name}";
    }
}
