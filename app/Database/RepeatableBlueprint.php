<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Schema\Blueprint;
use LogicException;

/**
 * Changes of tables that can be made again: MariaDB commits each statement by itself, so a migration that is cut off has
 * done a part of its work, and the next run meets that part. IF [NOT] EXISTS for columns and keys: MariaDB's ALTER TABLE.
 */
final class RepeatableBlueprint extends Blueprint
{
    private const REPEATABLE = [
        '/^create table /' => 'create table if not exists ',
        '/^(alter table \S+ add) (?=`)/' => '$1 column if not exists ',
        '/^(alter table \S+ add) (index|unique) /' => '$1 $2 if not exists ',
        '/ foreign key \(/' => ' foreign key if not exists (',
        '/ drop (?=`)/' => ' drop column if exists ',
        '/ drop (index|foreign key) /' => ' drop $1 if exists ',
    ];

    /** @return list<string> */
    public function toSql(): array
    {
        $statements = [];
        foreach (parent::toSql() as $sql) {
            $statements[] = is_string($sql) ? (string) preg_replace(array_keys(self::REPEATABLE), self::REPEATABLE, $sql) : throw new LogicException('A change of a table is a statement.');
        }

        return $statements;
    }
}
