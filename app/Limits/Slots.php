<?php

declare(strict_types=1);

namespace App\Limits;

use Throwable;

/** So many at once and no more. A slot is a lock of the system on a file: whoever dies gives it back. */
final readonly class Slots
{
    public function __construct(private string $folder)
    {
    }

    /** @return Slot|null null when all of them are taken */
    public function take(string $name, int $count): ?Slot
    {
        try {
            is_dir($this->folder) || mkdir($this->folder, 0700, true);
            for ($at = 0; $at < $count; $at++) {
                $file = fopen("{$this->folder}/{$name}-{$at}", 'c');
                if ($file !== false && flock($file, LOCK_EX | LOCK_NB)) {
                    return new Slot($file);
                }
            }
        } catch (Throwable $failed) {
            // A full disk keeps nobody from working.
            report($failed);

            return new Slot(null);
        }

        return null;
    }
}
