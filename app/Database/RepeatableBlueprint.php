<?php

declare(strict_types=1);

namespace App\Database;

use Illuminate\Database\Schema\Blueprint;

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
        return array_map(static fn (string $sql): string => (string) preg_replace(array_keys(self::REPEATABLE), self::REPEATABLE, $sql), array_values(parent::toSql()));
    }
}
