<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Import;
use App\Support\Counted;
use GreaterReach\Core\Metrics\Metrics;
use Illuminate\Support\Facades\DB;

/** A keyword list: joins the study's own list, with whatever metrics it has. */
final class KeywordsLoader implements Loader
{
    public function __construct(private readonly ImportOptions $order)
    {
    }

    public static function tables(): array
    {
        return [];
    }

    public function prepare(): void
    {
        DB::statement('DROP TABLE IF EXISTS pg_temp.staged');
        DB::statement(<<<'SQL'
            CREATE TEMPORARY TABLE staged (
                line bigint, keyword text COLLATE "C", volume bigint, difficulty double precision, cpc numeric,
                advertiser_competition double precision, monthly bigint[]
            ) ON COMMIT DROP
            SQL);
    }

    public function columns(): array
    {
        return ['line', 'keyword', 'volume', 'difficulty', 'cpc', 'advertiser_competition', 'monthly'];
    }

    public function stage(int $line, array $values): array
    {
        return [
            $line, $values['keyword'], $values['volume'] ?? null, $values['difficulty'] ?? null, $values['cpc'] ?? null,
            $values['advertiser_competition'] ?? null, self::monthly($values),
        ];
    }

    public function settle(Import $import): array
    {
        $source = DB::table('sources')->insertGetId([
            'study_id' => $import->study_id, 'import_id' => $import->id, 'kind' => 'keywords', 'day' => $this->order->day,
        ]);
        // Within a file the first row that has a value counts; for monthly volumes the first with all twelve.
        $kept = DB::affectingStatement(<<<'SQL'
            INSERT INTO metrics (study_id, source_id, keyword, volume, difficulty, cpc, advertiser_competition, monthly)
            SELECT ?::bigint, ?::bigint, keyword,
                (array_agg(volume) FILTER (WHERE volume IS NOT NULL))[1],
                (array_agg(difficulty) FILTER (WHERE difficulty IS NOT NULL))[1],
                (array_agg(cpc) FILTER (WHERE cpc IS NOT NULL))[1],
                (array_agg(advertiser_competition) FILTER (WHERE advertiser_competition IS NOT NULL))[1],
                (array_agg(monthly::text) FILTER (WHERE monthly IS NOT NULL AND array_position(monthly, NULL) IS NULL))[1]::bigint[]
            FROM (SELECT * FROM staged ORDER BY keyword, line) in_order
            GROUP BY keyword
            SQL, [$import->study_id, $source]);

        return [sprintf('%s added to the keyword list, dated %s.', Counted::of($kept, 'keyword'), $this->order->day)];
    }

    public function changes(Import $import): ChangeCounts
    {
        /** @var object{added: int, updated: int} $row */
        $row = DB::selectOne(<<<'SQL'
            SELECT count(*) FILTER (WHERE o.keyword IS NULL) AS added, count(*) FILTER (WHERE o.keyword IS NOT NULL) AS updated
            FROM metrics n JOIN sources s ON s.id = n.source_id AND s.import_id = ?
            LEFT JOIN (SELECT DISTINCT m.keyword FROM metrics m JOIN live_sources l ON l.id = m.source_id AND l.kind = 'keywords'
                WHERE m.study_id = ? AND l.import_id <> ?) o USING (keyword)
            WHERE n.study_id = ?
            SQL, [$import->id, $import->study_id, $import->id, $import->study_id]);

        return new ChangeCounts($row->added, $row->updated, 0);
    }

    /**
     * @param array<string, mixed> $values
     *
     * @return ?list<?int> null when no month is known
     */
    private static function monthly(array $values): ?array
    {
        $months = [];
        for ($month = 1; $month <= Metrics::MONTHS; ++$month) {
            $volume = $values['m'.$month] ?? null;
            $months[] = \is_int($volume) ? $volume : null;
        }

        return array_filter($months, is_int(...)) === [] ? null : $months;
    }
}
