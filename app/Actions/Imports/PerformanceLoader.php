<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Import;
use App\Support\Counted;
use GreaterReach\Core\Intake\BadCell;
use Illuminate\Support\Facades\DB;

/** Our own clicks and impressions by query and page. */
final class PerformanceLoader implements Loader
{
    public function __construct(private readonly ImportOptions $order)
    {
    }

    public static function tables(): array
    {
        return ['performance'];
    }

    public function prepare(): void
    {
        DB::statement('DROP TABLE IF EXISTS pg_temp.staged');
        DB::statement('CREATE TEMPORARY TABLE staged (LIKE performance) ON COMMIT DROP');
        DB::statement('ALTER TABLE staged ALTER study_id DROP NOT NULL, ALTER import_id DROP NOT NULL');
    }

    public function columns(): array
    {
        return ['query', 'page', 'day', 'clicks', 'impressions', 'position'];
    }

    public function stage(int $line, array $values): array|BadCell
    {
        /** @var array{query: string, page?: ?string, date?: ?string, clicks: int, impressions: int, position: float} $values */
        [$clicks, $impressions] = [$values['clicks'], $values['impressions']];
        if ($clicks > $impressions) {
            return new BadCell(
                $line,
                'clicks',
                (string) $clicks,
                "is more than the impressions, {$impressions}.",
            );
        }

        return [
            $values['query'],
            $values['page'] ?? null,
            $values['date'] ?? $this->order->day,
            $clicks,
            $impressions,
            $values['position'],
        ];
    }

    public function settle(Import $import): array
    {
        $columns = implode(', ', $this->columns());
        $kept = DB::affectingStatement(
            "INSERT INTO performance (study_id, import_id, {$columns}) SELECT ?::bigint, ?::bigint, {$columns} FROM staged",
            [$import->study_id, $import->id],
        );

        return [sprintf('%s of our performance data %s kept.', Counted::of($kept, 'row'), $kept === 1 ? 'was' : 'were')];
    }

    public function changes(Import $import): ?ChangeCounts
    {
        return null;
    }
}
