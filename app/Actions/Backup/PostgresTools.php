<?php

declare(strict_types=1);

namespace App\Actions\Backup;

use App\Exceptions\UserError;
use Symfony\Component\Process\Process;

/** PostgreSQL's own programs for the database of this installation; the password goes by the environment and stands on no command line. */
final class PostgresTools
{
    /** Where Debian keeps those of each version that is installed. */
    private const FOLDERS = '/usr/lib/postgresql/*/bin/';

    /**
     * @param string       $program   such as `pg_dump`
     * @param list<string> $arguments beside those of the connection
     * @param ?string      $folder    in which it works
     *
     * @throws UserError when it did not do its work, with its own words
     */
    public static function run(string $program, array $arguments, ?string $folder = null): void
    {
        $server = self::connection();
        $process = new Process([self::path($program), ...$arguments], $folder ?? base_path(), [
            'PGHOST' => $server['host'],
            'PGPORT' => $server['port'],
            'PGUSER' => $server['user'],
            'PGPASSWORD' => $server['password'],
            'PGDATABASE' => $server['dbname'],
        ], null, null);
        if ($process->run() !== 0) {
            $said = trim($process->getErrorOutput());
            throw UserError::because('backup', sprintf('%s failed: %s', $program, strtok($said, "\n") ?: 'it gave no message.'));
        }
    }

    /** The same in the words of libpq. */
    public static function dsn(): string
    {
        $settings = [];
        foreach (self::connection() as $name => $value) {
            $settings[] = $name."='".addcslashes($value, "'\\")."'";
        }

        return implode(' ', $settings);
    }

    /** @return array{host: string, port: string, user: string, password: string, dbname: string} as libpq names them */
    private static function connection(): array
    {
        $server = config()->array('database.connections.pgsql');

        return [
            'host' => self::text($server['host'] ?? ''),
            'port' => self::text($server['port'] ?? ''),
            'user' => self::text($server['username'] ?? ''),
            'password' => self::text($server['password'] ?? ''),
            'dbname' => self::text($server['database'] ?? ''),
        ];
    }

    /**
     * Has `psql` run a script, to its end or not at all.
     *
     * @param string $folder where the files are that it names, and where no one else may look in
     *
     * @throws UserError
     */
    public static function script(string $folder, string $sql): void
    {
        file_put_contents($folder.'/script.sql', $sql);
        self::run('psql', ['--no-psqlrc', '--quiet', '--set=ON_ERROR_STOP=1', '--file=script.sql'], $folder);
        unlink($folder.'/script.sql');
    }

    /** The newest there is: it can talk to every older server, and an older one cannot to a newer. */
    private static function path(string $program): string
    {
        $paths = glob(self::FOLDERS.$program) ?: [];
        natsort($paths);

        return end($paths) ?: $program;
    }

    private static function text(mixed $value): string
    {
        return \is_scalar($value) ? (string) $value : '';
    }
}
