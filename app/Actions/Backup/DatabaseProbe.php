<?php

declare(strict_types=1);

namespace App\Actions\Backup;

use PgSql\Connection;

/** Asks the database a question on a connection of its own and waits only so long, so that a hanging server is noticed. */
final class DatabaseProbe
{
    private const SECONDS = 3;

    /** @return ?list<string> the first column of the answer; null when the database does not answer in time, or refuses */
    public static function ask(string $sql): ?array
    {
        $connection = @pg_connect(PostgresTools::dsn().' connect_timeout='.self::SECONDS, PGSQL_CONNECT_FORCE_NEW);
        if ($connection === false) {
            return null;
        }
        $column = self::answer($connection, $sql);
        // Closing waits for a server that hangs; the end of the request does not.
        if ($column !== null) {
            pg_close($connection);
        }

        return $column;
    }

    /** @return ?list<string> */
    private static function answer(Connection $connection, string $sql): ?array
    {
        $socket = pg_socket($connection);
        if ($socket === false || ! pg_send_query($connection, $sql)) {
            return null;
        }
        [$read, $none] = [[$socket], null];
        if (stream_select($read, $none, $none, self::SECONDS) !== 1) {
            return null;
        }
        $result = pg_get_result($connection);
        if ($result === false || pg_result_status($result) !== PGSQL_TUPLES_OK) {
            return null;
        }

        return array_values(array_map(strval(...), pg_fetch_all_columns($result)));
    }
}
