<?php

declare(strict_types=1);

namespace Rundfunk\Exchange;

final readonly class Csv
{
    /** A sign that begins a formula, plain, small, wide, raised or lowered (they are all one in Unicode's NFKC), behind nothing that is seen; a tab or a return. */
    private const FORMULA = '/^[\p{C}\p{Z}]*[=+\-@\x{FE62}\x{FE63}\x{FE66}\x{FE6B}\x{FF0B}\x{FF0D}\x{FF1D}\x{FF20}\x{207A}-\x{207C}\x{208A}-\x{208C}]|^[\t\r]/u';

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

    /**
     * A cell that begins as a formula does gets an apostrophe first: a spreadsheet would run it. What is blank or not seen
     * before that is looked through, and wide signs count as plain ones. A plain number is no formula.
     */
    private static function cell(string $text): string
    {
        if (preg_match(self::FORMULA, $text) === 1 && preg_match('/^[+-]\d+(\.\d+)?$/D', $text) !== 1) {
            $text = "'".$text;
        }

        return preg_match('/[",\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }
}
