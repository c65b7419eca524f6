<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Models\Comparison;
use Illuminate\Support\Facades\DB;

/** The pages that the compared domains rank with, beside the rows of a list. */
final class ReadAddresses
{
    /**
     * @param list<array<string, mixed>> $rows
     * @param string                     $keyword under which a row has its keyword
     *
     * @return list<array<string, mixed>> the rows with `addresses`: place of a domain, ours first → the page with its best position
     */
    public function beside(Comparison $comparison, array $rows, string $keyword): array
    {
        $places = array_flip(array_column($comparison->domains, 'id'));
        $days = array_column($comparison->domains, 'snapshot', 'id');
        /** @var \Illuminate\Support\Collection<int, object{keyword: string, domain_id: int, url: ?string}> $found */
        $found = DB::table('rankings')
            ->join('live_snapshots', 'live_snapshots.id', '=', 'snapshot_id')
            ->where('rankings.study_id', $comparison->study_id)
            ->where('channel', $comparison->channel)
            ->where('ordinal', 1)
            ->whereIn('domain_id', array_keys($places))
            ->whereRaw('keyword = ANY (ARRAY(SELECT json_array_elements_text(?::json)))', [
                json_encode(array_column($rows, $keyword), JSON_THROW_ON_ERROR),
            ])
            ->where(static function (\Illuminate\Database\Query\Builder $query) use ($days): void {
                foreach ($days as $domain => $day) {
                    $query->orWhere(['domain_id' => $domain, 'day' => $day]);
                }
            })
            ->get(['keyword', 'domain_id', 'url']);
        $addresses = [];
        foreach ($found as $row) {
            $addresses[$row->keyword][$places[$row->domain_id]] = $row->url;
        }

        return array_map(
            static fn(array $row): array => [...$row, 'addresses' => \is_string($row[$keyword]) ? $addresses[$row[$keyword]] ?? [] : []],
            $rows,
        );
    }
}
