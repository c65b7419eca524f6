<?php

declare(strict_types=1);

namespace App\Actions\Decisions;

use App\Actions\Comparisons\StoredRows;
use App\Actions\Comparisons\UpdateShownCounts;
use App\Actions\Comparisons\WeighTopics;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Catalogue\RowCatalogue;
use App\Support\Database\Figures;
use App\Support\Rows\ComparisonRows;
use GreaterReach\Core\Priority\Opportunity;
use GreaterReach\Core\Priority\ScoreCell;
use Illuminate\Support\Facades\DB;

/**
 * Lets rows of the comparison on show follow a decision about fit, intent, target or topic at once, by the same rules that made
 * them; the next comparison comes to the same.
 */
final readonly class RescoreKeywords
{
    private const CHUNK = 1000;
    private const FOLLOWED = ['fit', 'intent', 'target', 'topic'];

    /** Difficulty and topics decide win chance, horizon, links and tactic, so these changes recompute the whole comparison. */
    private const ANEW = ['difficulty', 'topic'];

    /** What changes the figures of the topics of the keywords. */
    private const OF_TOPICS = ['mark', ...self::FOLLOWED];

    /** What can take a row out of what the stages show, or bring it back. */
    private const COUNTED = ['mark', 'fit', 'topic'];

    public function __construct(private UpdateShownCounts $count, private WeighTopics $topics)
    {
    }

    /**
     * @param list<string> $keywords
     * @param list<string> $columns  of the decision that were set
     */
    public function execute(Study $study, array $keywords, array $columns): void
    {
        $comparison = $study->comparison;
        $touched = $comparison !== null && array_intersect($columns, self::OF_TOPICS) !== [];
        $topics = $touched ? self::topicsOf($comparison, $keywords) : [];
        $this->follow($study, $keywords, $columns);
        if ($touched) {
            // Those that were left, and those that were joined.
            $joined = \in_array('topic', $columns, true) ? self::topicsOf($comparison, $keywords) : [];
            $this->topics->again($study, $comparison, array_values(array_unique([...$topics, ...$joined])));
        }
        if (array_intersect($columns, self::COUNTED) !== []) {
            $this->count->ofStudy($study);
        }
    }

    /**
     * @param list<string> $keywords
     * @param list<string> $columns
     */
    private function follow(Study $study, array $keywords, array $columns): void
    {
        $comparison = $study->comparison;
        if (array_intersect(self::ANEW, $columns) !== []) {
            $study->touchData();
        }
        if ($comparison !== null && \in_array('topic', $columns, true)) {
            self::moveTopics($comparison, $keywords);
        }
        $models = $comparison?->models();
        if (array_intersect($columns, self::FOLLOWED) === [] || $comparison === null || $models === null) {
            return;
        }
        $stored = StoredRows::of($study, $models);
        foreach (array_chunk($keywords, self::CHUNK) as $chunk) {
            $this->chunk($comparison, $stored, $chunk);
        }
    }

    /**
     * @param list<string> $keywords
     *
     * @return list<string> each once
     */
    private static function topicsOf(Comparison $comparison, array $keywords): array
    {
        $topics = [];
        foreach (array_chunk($keywords, self::CHUNK) as $chunk) {
            $here = $comparison->table()->query()->whereIn('keyword', $chunk)->whereNotNull('topic')->distinct()->pluck('topic')->all();
            array_push($topics, ...array_map(static fn(mixed $topic): string => (string) Figures::text($topic), $here));
        }

        return array_values(array_unique($topics));
    }

    /**
     * Into the topic that a person chose, or back into the one that was found.
     *
     * @param list<string> $keywords
     */
    private static function moveTopics(Comparison $comparison, array $keywords): void
    {
        foreach (array_chunk($keywords, self::CHUNK) as $chunk) {
            DB::update(
                "UPDATE {$comparison->table()->changed(
                    'c',
                )} SET topic = coalesce((SELECT d.topic FROM decisions d WHERE d.study_id = ? AND d.keyword = c.keyword), c.topic_found)
                WHERE {$comparison->table()->conditions('c')} AND c.keyword IN (SELECT json_array_elements_text(?::json))",
                [$comparison->study_id, json_encode($chunk, JSON_THROW_ON_ERROR)],
            );
        }
    }

    /** @param list<string> $keywords */
    private function chunk(Comparison $comparison, StoredRows $stored, array $keywords): void
    {
        $values = $bindings = [];
        $rows = ComparisonRows::read($comparison->table()->query()->whereIn('keyword', $keywords));
        foreach ($stored->weighed($rows) as [$row, $opportunity]) {
            $values[] = '(?, '.implode(', ', array_map(static fn(string $type): string => "?::{$type}", self::types())).')';
            array_push($bindings, $row->keyword, ...self::cells($opportunity));
        }
        if ($values === []) {
            return;
        }
        $columns = array_keys(self::types());
        $set = implode(', ', array_map(static fn(string $column): string => "{$column} = v.{$column}", $columns));
        DB::update(
            "UPDATE {$comparison->table()->changed('c')} SET {$set} FROM (VALUES ".
                implode(', ', $values).
                ') v (keyword, '.
                implode(', ', $columns).
                ")
            WHERE {$comparison->table()->conditions('c')} AND c.keyword = v.keyword",
            $bindings,
        );
    }

    /** @return array<string, string> columns that follow a decision → their type */
    private static function types(): array
    {
        return [
            'target' => 'smallint',
            'gain' => 'float8',
            'win_chance' => 'float8',
            'expected_gain' => 'float8',
            'worth' => 'float8',
            'horizon' => 'text',
            'tactic' => 'text',
            'intent' => 'text',
            ...array_fill_keys(RowCatalogue::scores(), 'float8'),
            RowCatalogue::CELL => 'bigint',
        ];
    }

    /** @return list<string|int|null> in the order of types(); floats as text, as the driver would cut them short */
    private static function cells(Opportunity $opportunity): array
    {
        $exact = static fn(?float $value): ?string => $value === null ? null : Figures::exact($value);
        $work = $opportunity->work;

        return [
            $work->target,
            $exact($work->gain),
            $exact($work->winChance),
            $exact($work->expectedGain),
            $exact($opportunity->worth),
            $opportunity->horizon?->value,
            (string) $work->tactic,
            $opportunity->intent->value,
            ...array_map($exact, array_values($opportunity->scores->toArray())),
            ScoreCell::of($opportunity->scores),
        ];
    }
}
