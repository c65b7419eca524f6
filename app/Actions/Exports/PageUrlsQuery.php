<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Models\Comparison;
use Illuminate\Support\Facades\DB;

/** The pages that the compared domains rank with, beside the rows of a list. */
final class PageUrlsQuery
{
    /**
     * @param list<array<string, mixed>> $rows
     * @param string                     $keyword under which a row has its keyword
     *
     * @return list<array<string, mixed>> the rows with `addresses`: place of a domain, ours first → the page with its best position
     */
    public function beside(Comparison $comparison, array $rows, string $keyword): array
    {
        $places = [];
        foreach ($comparison->domains as $place => $domain) {
            $snapshot = DB::table('live_snapshots')->where('domain_id', $domain['id'])->where('channel', $comparison->channel)
                ->where('day', $domain['snapshot'])->value('id');
            if (\is_int($snapshot)) {
                $places[$snapshot] = $place;
            }
        }
        /** @var list<object{keyword: string, snapshot_id: int, url: ?string}> $found */
        $found = DB::select(
            'SELECT keyword, snapshot_id, url FROM rankings WHERE study_id = ? AND snapshot_id = ANY (?::bigint[]) AND ordinal = 1
                AND keyword = ANY (ARRAY(SELECT json_array_elements_text(?::json)))',
            [
                $comparison->study_id,
                '{'.implode(',', array_keys($places)).'}',
                json_encode(array_column($rows, $keyword), JSON_THROW_ON_ERROR),
            ],
        );
        $addresses = [];
        foreach ($found as $row) {
            $addresses[$row->keyword][$places[$row->snapshot_id]] = $row->url;
        }

        return array_map(
            static fn(array $row): array => [...$row, 'addresses' => \is_string($row[$keyword]) ? $addresses[$row[$keyword]] ?? [] : []],
            $rows,
        );
    }
}
