<?php

declare(strict_types=1);

namespace App\Actions\Backup;

use App\Exceptions\UserError;
use PgSql\Connection;

/**
 * Loads CSV files with the server's own COPY. `psql` ends a `\copy` at a line that is only `\.`, even inside a quoted cell; the server
 * does not.
 */
final readonly class CopyFile
{
    private const CHUNK = 1 << 20;

    private Connection $connection;

    /** @throws UserError when the database does not answer */
    public function __construct()
    {
        $connection = @pg_connect(PostgresTools::dsn(), PGSQL_CONNECT_FORCE_NEW);
        $this->connection = $connection ?: throw UserError::because('file', 'The database did not answer. Try again in a minute.');
    }

    /**
     * @param string $table as in SQL
     * @param string $path  CSV with a header, columns in the table's order
     *
     * @throws UserError when the database refuses a row, in its own words
     */
    public function load(string $table, string $path): void
    {
        $file = fopen($path, 'rb');
        if ($file === false || @pg_query($this->connection, "COPY {$table} FROM STDIN (FORMAT csv, HEADER)") === false) {
            throw $this->refused($path);
        }
        while (($chunk = (string) fread($file, self::CHUNK)) !== '') {
            pg_put_line($this->connection, $chunk);
        }
        fclose($file);
        if (! @pg_end_copy($this->connection)) {
            throw $this->refused($path);
        }
    }

    private function refused(string $path): UserError
    {
        $words = strtok(pg_last_error($this->connection), "\n") ?: 'no reason given';

        return UserError::because('file', sprintf('"%s" in the archive could not be loaded: %s', basename($path), $words));
    }
}
