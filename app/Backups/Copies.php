<?php

declare(strict_types=1);

namespace App\Backups;

use Closure;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use Symfony\Component\Process\Process;

/** Whole copies of the database as SQL, compressed, made and read by MariaDB's own tools. */
final class Copies
{
    /** How long a copy may take, s. */
    private const SECONDS = 3_600;

    /** A copy is refused where it could fill the disk: so many times the size of the tables must be free. */
    private const ROOM = 2;

    /** @var Closure(string): (float|false) */
    private Closure $free;

    /** @param  (Closure(string): (float|false))|null  $free  bytes that a folder has room for; the system's own answer, where it is not said */
    public function __construct(?Closure $free = null)
    {
        $this->free = $free ?? disk_free_space(...);
    }

    /**
     * As one look at the database, while it is in use.
     *
     * @throws RuntimeException when there is no room, or the tool fails
     */
    public function make(string $file): void
    {
        $folder = dirname($file);
        $needed = self::ROOM * $this->size();
        $free = is_dir($folder) ? (int) ($this->free)($folder) : throw new RuntimeException("There is no folder {$folder}.");
        if ($free < $needed) {
            throw new RuntimeException(sprintf('There is too little room for a copy: %d MB free, %d needed.', intdiv($free, 1_000_000), intdiv($needed, 1_000_000) + 1));
        }
        $half = $file.'.part';
        $this->run('"$@" | gzip -6 >"$file"', $half, ['mariadb-dump', '--single-transaction', '--quick', '--skip-comments', '--hex-blob', '--default-character-set=utf8mb4', '--max-allowed-packet=1G']);
        chmod($half, 0600);
        rename($half, $file);
    }

    /**
     * Into an empty database.
     *
     * @throws RuntimeException when it is not empty, or the tool fails
     */
    public function restore(string $file): void
    {
        if (DB::select('show tables') !== []) {
            throw new RuntimeException('The database is not empty. Restore into an empty one.');
        }
        if (! is_file($file)) {
            throw new RuntimeException("There is no file {$file}.");
        }
        $this->run('gzip -dc "$file" | "$@"', $file, ['mariadb', '--default-character-set=utf8mb4', '--max-allowed-packet=1G']);
    }

    /** @return int bytes that the tables take */
    private function size(): int
    {
        $row = DB::selectOne('select coalesce(sum(data_length + index_length), 0) as size from information_schema.tables where table_schema = database()');
        $size = is_object($row) ? ($row->size ?? 0) : 0;

        return is_numeric($size) ? (int) $size : 0;
    }

    /**
     * The password goes by a file that only its owner reads: an argument is seen by everybody who lists processes.
     *
     * @param  string  $pipe  of bash, between "$file" and the tool, which is "$@"
     * @param  list<string>  $tool
     */
    private function run(string $pipe, string $file, array $tool): void
    {
        $config = config()->array('database.connections.'.config()->string('database.default'));
        $options = (string) tempnam(sys_get_temp_dir(), 'rundfunk');
        chmod($options, 0600);
        $quoted = static fn (string $key): string => '"'.addcslashes(is_scalar($config[$key] ?? null) ? (string) $config[$key] : '', '"\\').'"';
        file_put_contents($options, "[client]\nprotocol=tcp\nhost={$quoted('host')}\nport={$quoted('port')}\nuser={$quoted('username')}\npassword={$quoted('password')}\n");
        $database = is_string($config['database'] ?? null) ? $config['database'] : '';
        $arguments = [$tool[0], '--defaults-file='.$options, ...array_slice($tool, 1), $database];
        try {
            $process = new Process(['bash', '-c', 'set -o pipefail; umask 077; file=$1; shift; '.$pipe, 'bash', $file, ...$arguments], timeout: self::SECONDS);
            if ($process->run() !== 0) {
                throw new RuntimeException(trim($process->getErrorOutput()));
            }
        } finally {
            unlink($options);
        }
    }
}
