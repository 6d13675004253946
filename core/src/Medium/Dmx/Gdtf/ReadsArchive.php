<?php

declare(strict_types=1);

namespace Rundfunk\Medium\Dmx\Gdtf;

use ZipArchive;

/** The one file of a fixture's archive that is read, out of an archive that anybody may have made. Nothing is unpacked. */
final readonly class ReadsArchive
{
    private const DESCRIPTION = 'description.xml';

    private const MOST_FILES = 2_000;

    /** A description of hundreds of modes is a tenth of that. */
    private const MOST_BYTES = 4_000_000;

    private const CHUNK = 65_536;

    /** @throws FixtureRefused */
    public static function description(string $archive): string
    {
        $file = tmpfile();
        if ($file === false || fwrite($file, $archive) !== strlen($archive)) {
            throw FixtureRefused::because('There is no room here to look into it.');
        }
        $zip = new ZipArchive;
        if ($zip->open(stream_get_meta_data($file)['uri'] ?? '', ZipArchive::RDONLY) !== true) {
            throw FixtureRefused::because('It is no zip archive, or a damaged one.');
        }
        try {
            return self::read($zip);
        } finally {
            $zip->close();
            fclose($file);
        }
    }

    private static function read(ZipArchive $zip): string
    {
        if ($zip->numFiles > self::MOST_FILES) {
            throw FixtureRefused::because("It holds {$zip->numFiles} files: more than any fixture needs.");
        }
        $found = [];
        for ($at = 0; $at < $zip->numFiles; $at++) {
            $name = (string) $zip->getNameIndex($at, ZipArchive::FL_UNCHANGED | ZipArchive::FL_ENC_RAW);
            if (preg_match('~^[/\\\\]|^[A-Za-z]:|(?:^|[/\\\\])\.\.(?:[/\\\\]|$)|[\x00-\x1f]~', $name) === 1) {
                throw FixtureRefused::because('A file in it is meant to lie outside of it.');
            }
            if ($name === self::DESCRIPTION) {
                $found[] = $at;
            }
        }
        if (count($found) !== 1) {
            throw FixtureRefused::because($found === [] ? 'It holds no description.xml.' : 'It holds description.xml more than once.');
        }
        $stat = $zip->statIndex($found[0]);
        if ($stat === false || $stat['encryption_method'] !== 0) {
            throw FixtureRefused::because('Its description is locked by a password.');
        }
        if ($stat['size'] > self::MOST_BYTES) {
            throw FixtureRefused::because('Its description would be '.intdiv($stat['size'], 1_000_000).' MB: more than any fixture needs.');
        }

        return self::unpacked($zip, $found[0], $stat['size']);
    }

    /** What is said of the size may be a lie: never more is read than was said. */
    private static function unpacked(ZipArchive $zip, int $index, int $size): string
    {
        $stream = $zip->getStreamIndex($index);
        if ($stream === false) {
            throw FixtureRefused::because('Its description cannot be unpacked.');
        }
        $text = '';
        while (! feof($stream) && strlen($text) <= $size) {
            $part = @fread($stream, self::CHUNK);
            if ($part === false || $part === '') {
                break;
            }
            $text .= $part;
        }
        fclose($stream);
        if (strlen($text) !== $size || $text === '') {
            throw FixtureRefused::because('Its description is not as long as the archive says.');
        }

        return $text;
    }
}
