<?php

declare(strict_types=1);

namespace App\Actions\Decisions;

use App\Models\Study;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Tags in use, with the number of their keywords. */
final class TagsQuery
{
    /** @return list<array{tag: string, keywords: int}> */
    public function execute(Study $study): array
    {
        /** @var Collection<int, object{tag: string, keywords: int}> $rows */
        $rows = DB::table('tags')
            ->where('study_id', $study->id)
            ->groupBy('tag')
            ->orderBy('tag')
            ->get(['tag', DB::raw('count(*) AS keywords')]);

        return array_values($rows->map(static fn(object $row): array => ['tag' => $row->tag, 'keywords' => $row->keywords])->all());
    }
}
