<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\Support\Catalogue\RowCatalogue;
use App\Support\Rows\PrioritySql;
use GreaterReach\Core\Priority\Criterion;
use GreaterReach\Core\Priority\Scores;
use GreaterReach\Core\Priority\Weights;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Where speed asks for the priority in SQL, it is the same number as the core's. */
final class PrioritySqlTest extends TestCase
{
    #[DataProvider('weights')]
    public function test_sql_and_core_agree_on_random_scores(string $text): void
    {
        mt_srand(11);
        $weights = Weights::parse($text);
        for ($round = 0; $round < 300; ++$round) {
            $scores = array_map(static fn(): ?int => mt_rand(0, 4) === 0 ? null : mt_rand(0, 5), Criterion::names());
            $values = implode(', ', array_map(static fn(?int $score): string => ($score ?? 'NULL').'::smallint', $scores));
            $columns = implode(', ', RowCatalogue::scores());
            $row = DB::selectOne(
                'SELECT '.
                    PrioritySql::expression($weights).
                    " AS priority FROM (VALUES ({$values})) s ({$columns})",
            );
            self::assertSame($weights->priorityOf(Scores::inOrder(...$scores)), $row->priority === null ? null : (float) $row->priority);
        }
    }

    /** @return iterable<string, array{string}> */
    public static function weights(): iterable
    {
        yield 'the plain average' => ['volume:1,ease:1,gain:1'];
        yield 'uneven' => ['volume:0.7,ease:2.3,gain:1.1,value:0.3,intent:3,fit:0.9'];
        yield 'one alone' => ['fit:5'];
    }
}
