<?php

declare(strict_types=1);

namespace Rundfunk\Exchange;

final readonly class Csv
{
    /**
     * @param  list<list<string>>  $rows
     * @return string RFC 4180
     */
    public static function write(array $rows): string
    {
        $lines = array_map(
            static fn (array $row): string => implode(',', array_map(self::cell(...), $row)),
            $rows,
        );

        return implode("\r\n", $lines)."\r\n";
    }

    /** A cell that begins as a formula does gets an apostrophe first: a spreadsheet would run it. A plain number is none. */
    private static function cell(string $text): string
    {
        if (preg_match('/^[=+\-@\t\r]/', $text) === 1 && preg_match('/^[+-]\d+(\.\d+)?$/D', $text) !== 1) {
            $text = "'".$text;
        }

        return preg_match('/[",\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }
}
