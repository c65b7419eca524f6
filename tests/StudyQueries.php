<?php

declare(strict_types=1);

namespace Tests;

use App\Actions\Archive\StudyTables;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;

/**
 * What the application asks of the database in a run of the tests, and whether it keeps to one study: each table of a study in a statement
 * is bound to the number of the study, or to that of something that belongs to one study alone, such as a comparison. What the tests ask
 * themselves is left out.
 */
final class StudyQueries
{
    /** One statement a line, blanks made one; read by `queries-seen.php` when the whole run is over. */
    public const SEEN = __DIR__.'/../storage/framework/testing/queries-seen.txt';

    /** End of the name of a table that holds one comparison alone. */
    private const OWN_TABLE = '_cN';

    /** Work of the whole server, which belongs to no study; beginning of the file's name → what it is. */
    public const OF_THE_SERVER = [
        'app/Actions/Backup/' => 'counts all rows, to hold a restored copy to its original',
        'app/Actions/Tidy/' => 'takes away what is over, whosever it is',
        'app/Actions/Watch/' => 'tells how much work there is',
        'app/Actions/Tasks/RequeueTasks.php' => 'takes up what was left lying, whosever it is',
        'app/Actions/Imports/StoreUpload.php' => 'counts what one person has waiting, in all studies',
    ];

    /** @var array<string, true> */
    private static array $seen = [];

    public static function listen(): void
    {
        DB::listen(static function (QueryExecuted $query): void {
            $statement = self::plain($query->sql);
            if (isset(self::$seen[$statement])) {
                return;
            }
            $asker = self::asker();
            if ($asker !== null) {
                self::$seen[$statement] = true;
                file_put_contents(self::SEEN, $asker."\t".$statement."\n", FILE_APPEND | LOCK_EX);
            }
        });
    }

    /** Numbers of single rows and lists of placeholders make no other statement. */
    private static function plain(string $sql): string
    {
        $plain = ['/\s+/' => ' ', '/\(\s*\?(?:\s*,\s*\?)+\s*\)/' => '(?)', '/= \d+\b/' => '= ?', '/_c\d+\b/' => self::OWN_TABLE];

        return (string) preg_replace(array_keys($plain), $plain, trim($sql));
    }

    /** @return ?string file of the application that asks; null where it is a test */
    private static function asker(): ?string
    {
        $root = \dirname(__DIR__).'/';
        foreach (debug_backtrace(DEBUG_BACKTRACE_IGNORE_ARGS, 60) as $frame) {
            $file = $frame['file'] ?? '';
            if (str_starts_with($file, $root.'app/')) {
                return substr($file, \strlen($root));
            }
            if (str_starts_with($file, $root.'tests/') && $file !== __FILE__) {
                return null;
            }
        }

        return null;
    }

    /** @return list<string> tables with the number of a study, once for each time that they stand in a statement */
    public static function tables(string $statement): array
    {
        $named = [...array_keys(StudyTables::numbers()), ...array_diff(StudyTables::LEFT, ['audit'])];
        $pattern = '/\b(?:from|join|into|update)\s+(?:only\s+)?"?('.implode('|', $named).')(?:_p\d+)?"?(?![\w"])/i';
        preg_match_all($pattern, $statement, $found);

        return $found[1];
    }

    /** Whether each table of a study in it is bound to one study. */
    public static function keepsToOneStudy(string $statement): bool
    {
        $bound = preg_match_all('/\b(?:study|comparison|snapshot|import|task|domain|source)_id\b|\b"?id"?\s+(?:=|in\b)/i', $statement);

        // Where a list of numbers is empty, nothing is looked at.
        return $bound >= \count(self::tables($statement)) || str_contains($statement, 'where 0 = ?');
    }
}
