<?php

declare(strict_types=1);

namespace App\Plans;

use FilesystemIterator;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** Which build of the program this is, as far as what it keeps of plans is concerned: core, catalogue and storage. */
final readonly class Edition
{
    private const FOLDERS = ['core', 'app/Models', 'app/Plans', 'database/migrations'];

    public function __construct(public string $name)
    {
    }

    /** As the start command worked it out, or else by what the system knows of the files: quick enough for every request. */
    public static function running(): self
    {
        $given = getenv('RUNDFUNK_EDITION');

        return new self(is_string($given) && $given !== '' ? $given : self::sum(static fn (SplFileInfo $file): string => $file->getMTime().' '.$file->getSize()));
    }

    /** By what is in the files: the same for every copy of a build. */
    public static function ofCode(): self
    {
        return new self(self::sum(static fn (SplFileInfo $file): string => (string) hash_file('sha256', $file->getPathname())));
    }

    /** @param  callable(SplFileInfo): string  $of */
    private static function sum(callable $of): string
    {
        $sums = [];
        foreach (self::FOLDERS as $folder) {
            $root = dirname(__DIR__, 2).'/'.$folder;
            /** @var SplFileInfo $file */
            foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS)) as $file) {
                $sums[$folder.substr($file->getPathname(), strlen($root))] = $of($file);
            }
        }
        ksort($sums, SORT_STRING);

        return substr(hash('sha256', (string) json_encode($sums)), 0, 16);
    }
}
