<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Import;
use App\Support\Counted;
use GreaterReach\Core\Comparison\Ranking;
use Illuminate\Support\Facades\DB;

/**
 * Loads page-one results: positions for a keyword, with the strength of page and site.
 *
 * @phpstan-type ResultValues array{keyword: string, date?: ?string, position: int, url: string, authority?: ?float,
 *     page_strength?: ?float, referring_domains?: ?int, title?: ?string}
 */
final class ResultsLoader implements Loader
{
    public function __construct(private readonly ImportOptions $order)
    {
    }

    public static function tables(): array
    {
        return ['results'];
    }

    public function prepare(): void
    {
        DB::statement('DROP TABLE IF EXISTS pg_temp.staged');
        DB::statement('CREATE TEMPORARY TABLE staged (LIKE results) ON COMMIT DROP');
        DB::statement('ALTER TABLE staged ALTER study_id DROP NOT NULL, ALTER import_id DROP NOT NULL');
    }

    public function columns(): array
    {
        return ['keyword', 'day', 'position', 'url', 'authority', 'page_strength', 'referring_domains', 'title'];
    }

    public function stage(int $line, array $values): ?array
    {
        /** @var ResultValues $values */
        if ($values['position'] > Ranking::WORST_POSITION) {
            return null;
        }

        return [
            $values['keyword'], $values['date'] ?? $this->order->day, $values['position'], $values['url'], $values['authority'] ?? null,
            $values['page_strength'] ?? null, $values['referring_domains'] ?? null, $values['title'] ?? null,
        ];
    }

    public function settle(Import $import): array
    {
        $columns = implode(', ', $this->columns());
        $kept = DB::affectingStatement(
            "INSERT INTO results (study_id, import_id, {$columns}) SELECT ?::bigint, ?::bigint, {$columns} FROM staged",
            [$import->study_id, $import->id],
        );

        return [sprintf('%s %s kept.', Counted::of($kept, 'page-one result'), $kept === 1 ? 'was' : 'were')];
    }

    public function changes(Import $import): ?ChangeCounts
    {
        return null;
    }
}
