<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Support\Catalogue\RowCatalogue;
use App\Support\Database\RowTable;
use App\Support\Database\TopicTable;
use Illuminate\Support\Facades\DB;

/**
 * Makes room for the rows of comparisons and gives it back. Nothing here locks what others read: a large comparison has a table that
 * no one knows of before it is complete.
 */
final class RowStorage
{
    /** The orders in which people look at a comparison most: with an index the first page needs no reading of all rows. */
    private const ORDERS = ['volume' => 'DESC', 'gain' => 'DESC', 'difficulty' => 'ASC', 'own_position' => 'ASC'];

    /**
     * What is asked of all rows at once while a sentence is built: counts and distributions read this index alone, a quarter of the
     * table.
     */
    private const COUNTED = [
        'competitors_in_10',
        'competitors_in_20',
        'competitors_in_50',
        'competitors_ranking',
        'words',
        'presence',
        'brands',
        'volume',
        'difficulty',
        'visits_now',
        'gain',
        'standing',
        'intent',
        'cpc',
    ];

    /** Tables of its own for rows and topics, without indexes until they are filled. */
    public function create(int $comparison): void
    {
        $tables = [RowTable::SHARED => RowTable::ownOf($comparison), TopicTable::SHARED => TopicTable::ownOf($comparison)];
        foreach ($tables as $like => $own) {
            DB::statement("CREATE TABLE {$own} (LIKE {$like} INCLUDING DEFAULTS INCLUDING CONSTRAINTS)");
        }
    }

    public function index(int $comparison): void
    {
        $table = RowTable::ownOf($comparison);
        DB::statement("ALTER TABLE {$table} ADD PRIMARY KEY (keyword)");
        foreach (self::ORDERS as $column => $order) {
            DB::statement("CREATE INDEX ON {$table} ({$column} {$order} NULLS LAST, keyword)");
        }
        // The keywords of one topic, when a decision corrects it.
        DB::statement("CREATE INDEX ON {$table} (topic)");
        // All that the ranked list goes by, whatever the weights, cell by cell of the scores.
        DB::statement(
            'CREATE INDEX ON '.$table.' ('.RowCatalogue::CELL.", keyword) INCLUDE (expected_gain, gain, difficulty, ".
                implode(', ', RowCatalogue::scores()).
                ') WHERE is_listed',
        );
        DB::statement("CREATE INDEX ON {$table} (own_position) INCLUDE (".implode(', ', self::COUNTED).')');
    }

    public function indexTopics(int $comparison): void
    {
        $table = TopicTable::ownOf($comparison);
        DB::statement("ALTER TABLE {$table} ADD PRIMARY KEY (topic)");
        // All that the ranked list goes by, whatever the weights.
        $scores = implode(', ', RowCatalogue::scores());
        DB::statement("CREATE INDEX ON {$table} (expected_gain) INCLUDE (topic, gain, difficulty, {$scores})");
        DB::statement("ANALYZE {$table}");
    }

    /** Lets readers rely on the indexes alone, and the planner on what is in them. For outside of transactions. */
    public function settle(int $comparison): void
    {
        DB::statement('VACUUM (ANALYZE) '.RowTable::ownOf($comparison));
        DB::statement('VACUUM (ANALYZE) '.TopicTable::ownOf($comparison));
    }

    public function forget(int $study, int $comparison, bool $isOwn): void
    {
        if ($isOwn) {
            DB::statement('DROP TABLE IF EXISTS '.RowTable::ownOf($comparison).', '.TopicTable::ownOf($comparison));

            return;
        }
        DB::delete('DELETE FROM '.RowTable::SHARED.' WHERE study_id = ? AND comparison_id = ?', [$study, $comparison]);
    }
}
