<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\StudyQueries;

/** The look at what is asked of the database finds what crosses studies, and only that. */
final class StudyQueriesTest extends TestCase
{
    /** @return iterable<string, array{string, bool}> statement, whether it keeps to one study */
    public static function statements(): iterable
    {
        yield 'by its study' => ['select * from "decisions" where "study_id" = ?', true];
        yield 'by the number of a row' => ['select * from "tasks" where "id" = ? limit 1', true];
        yield 'a table of one comparison' => ['select count(*) from comparison_rows_cN AS comparison_rows where "topic" = ?', true];
        yield 'no table of a study' => ['select * from "users" where "email" = ?', true];
        yield 'both tables by their study' => ['select * from rankings r join snapshots s on s.id = snapshot_id where study_id = ?', true];
        yield 'an empty list' => ['select "file_name" from "imports" where 0 = ?', true];
        yield 'all decisions of everybody' => ['select * from "decisions" where "mark" = ?', false];
        yield 'all tasks' => ['select count(*) from tasks', false];
        yield 'one of two tables is bound' => ['select * from decisions d join tags t on t.keyword = d.keyword where study_id = ?', false];
        yield 'a change of all rows' => ['update "plan_items" set "status" = ?', false];
        yield 'a partition' => ['select * from rankings_p3 where keyword = ?', false];
    }

    #[DataProvider('statements')]
    public function test_it_tells_what_crosses_studies(string $statement, bool $keeps): void
    {
        self::assertSame($keeps, StudyQueries::keepsToOneStudy($statement));
    }
}
