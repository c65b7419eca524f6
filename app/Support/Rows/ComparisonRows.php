<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Models\Comparison;
use App\Support\Catalogue\WeighedRow;
use App\Support\Database\Figures;
use App\Support\Sentence\Sentence;
use App\Support\Sentence\SentenceCompiler;
use App\Support\Sentence\SentenceContext;
use GreaterReach\Core\Meaning\FunnelStage;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** The rows of one comparison beside decisions in this study about them, narrowed by a sentence. */
final readonly class ComparisonRows
{
    public function __construct(private Comparison $comparison)
    {
    }

    public function query(Sentence $sentence): Builder
    {
        return $this->compiler()->apply($this->comparison->table()->query(), $sentence);
    }

    /** A column that says of each row whether a sentence lets it through. */
    public function fits(Sentence $sentence, string $name): MatchColumn
    {
        $conditions = $this->compiler()->apply(DB::table('comparison_rows'), $sentence);
        $sql = preg_replace('/^where /', '', $conditions->getGrammar()->compileWheres($conditions));

        return new MatchColumn($sql === '' ? "true AS {$name}" : "({$sql}) IS TRUE AS {$name}", $conditions->getBindings());
    }

    private function compiler(): SentenceCompiler
    {
        return new SentenceCompiler(SentenceContext::of($this->comparison));
    }

    public function at(string $keyword): ?WeighedRow
    {
        $row = $this->comparison->table()->query()->where('keyword', $keyword)->first();

        return $row === null ? null : WeighedRow::fromDatabase($row);
    }

    /**
     * @param Builder $query whole rows, perhaps with more beside them
     *
     * @return list<WeighedRow>
     */
    public static function read(Builder $query): array
    {
        return array_map(WeighedRow::fromDatabase(...), array_values($query->get()->all()));
    }

    /**
     * @param list<WeighedRow> $rows
     *
     * @return list<array<string, mixed>> the rows as the API gives them, with decisions in this study
     */
    public function presentAll(array $rows): array
    {
        $keywords = array_map(static fn(WeighedRow $row): string => $row->keyword, $rows);
        [$study, $ownVisits] = [$this->comparison->study_id, $this->comparison->own_visits];
        $these = ['keyword = ANY (ARRAY(SELECT json_array_elements_text(?::json)))', [json_encode($keywords, JSON_THROW_ON_ERROR)]];
        $decisions = DB::table('decisions')
            ->where('study_id', $study)
            ->whereRaw(...$these)
            ->get(['keyword', 'mark', 'reason', 'fit', 'note', 'target', 'intent', 'stage', 'pinned', 'difficulty'])
            ->keyBy('keyword');
        $tags = DB::table('tags')
            ->where('study_id', $study)
            ->whereRaw(...$these)
            ->orderBy('tag')
            ->get(['keyword', 'tag'])
            ->groupBy('keyword');

        return array_map(
            static fn(WeighedRow $row): array => [
                ...$row->told(),
                'visits_share' => $row->visitsNow === null || $ownVisits <= 0.0 ? null : $row->visitsNow / $ownVisits,
                ...self::decided($row, $decisions->get($row->keyword)),
                'tags' => $tags->get($row->keyword)?->pluck('tag')->all() ?? [],
            ],
            $rows,
        );
    }

    /** @return array<string, mixed> */
    private static function decided(WeighedRow $row, ?\stdClass $decision): array
    {
        return [
            'mark' => $decision?->mark,
            'reason' => $decision?->reason,
            'fit' => $decision?->fit,
            'note' => $decision?->note,
            'wanted_target' => $decision?->target,
            'own_intent' => $decision?->intent,
            'own_stage' => $decision?->stage,
            'stage' => FunnelStage::of(FunnelStage::tryFrom((string) Figures::text($decision?->stage)), $row->intent)?->value,
            'pinned' => $decision->pinned ?? false,
            'own_difficulty' => Figures::float($decision->difficulty ?? null),
        ];
    }
}
