<?php

declare(strict_types=1);

namespace App\Actions\Decisions;

use App\Models\Study;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Why keywords were shortlisted or set aside: each reason once, the newest first. */
final class ReasonsQuery
{
    private const MOST = 20;

    /** @return list<array{reason: string, mark: string, keywords: int}> */
    public function execute(Study $study): array
    {
        /** @var Collection<int, object{reason: string, mark: string, keywords: int}> $rows */
        $rows = DB::table('decisions')
            ->where('study_id', $study->id)
            ->whereNotNull('reason')
            ->whereNotNull('mark')
            ->groupBy('reason', 'mark')
            ->orderByRaw('max(updated_at) DESC, reason')
            ->limit(self::MOST)
            ->get(['reason', 'mark', DB::raw('count(*) AS keywords')]);

        return array_values($rows->map(
            static fn(object $row): array => ['reason' => $row->reason, 'mark' => $row->mark, 'keywords' => $row->keywords],
        )->all());
    }
}
