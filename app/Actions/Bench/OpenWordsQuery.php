<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Models\Domain;
use App\Models\Study;
use App\Support\Database\RowStream;
use App\Support\PostgresStopWords;
use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Meaning\OpenWords;
use Illuminate\Support\Facades\DB;

/** Words found often in the weighed keywords of which no rule tells an intent: each may become a rule. */
final class OpenWordsQuery
{
    private const MOST = 12;

    /** @return list<array{word: string, keywords: int, topics: int}> */
    public function execute(Study $study, Comparison $comparison): array
    {
        $found = new OpenWords();
        DB::transaction(static function () use ($comparison, $found): void {
            $open = $comparison->table()->query()->where('intent', Intent::Open->value)->select(['keyword', 'topic']);
            foreach (RowStream::ofQuery($open) as [$keyword, $topic]) {
                $found->add((string) $keyword, $topic === null ? null : (string) $topic);
            }
        });
        $stopWords = (new PostgresStopWords($study->language))->among($found->words());

        return $found->often($stopWords + array_fill_keys(self::brandWords($study), true), self::MOST);
    }

    /** @return list<string> words of the compared domains' brands */
    private static function brandWords(Study $study): array
    {
        $words = array_map(
            static fn(Domain $domain): array => Words::of(
                implode(' ', [preg_replace('/\..*/', '', $domain->entry), ...$domain->brand_terms]),
            ),
            array_values($study->load('domains')->domains->all()),
        );

        return array_merge([], ...$words);
    }
}
