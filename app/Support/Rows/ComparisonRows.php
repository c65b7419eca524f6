<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Models\Comparison;
use App\Support\Database\Figures;
use App\Support\Sentence\Sentence;
use App\Support\Sentence\SentenceCompiler;
use App\Support\Sentence\SentenceContext;
use GreaterReach\Core\Meaning\PageMeaning;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** The rows of one comparison beside what people decided about them, narrowed by a sentence. */
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
    public function fits(Sentence $sentence, string $name): FittingColumn
    {
        $conditions = $this->compiler()->apply(DB::table('comparison_rows'), $sentence);
        $sql = preg_replace('/^where /', '', $conditions->getGrammar()->compileWheres($conditions));

        return new FittingColumn($sql === '' ? "true AS {$name}" : "({$sql}) IS TRUE AS {$name}", $conditions->getBindings());
    }

    private function compiler(): SentenceCompiler
    {
        return new SentenceCompiler(SentenceContext::of($this->comparison));
    }

    /**
     * @param list<\stdClass> $rows
     *
     * @return list<array<string, mixed>> the rows as the API gives them, with what people decided
     */
    public function presentAll(array $rows): array
    {
        $decisions = DB::table('decisions')->where('study_id', $this->comparison->study_id)->whereIn('keyword', array_column($rows, 'keyword'))->get(['keyword', 'mark', 'reason', 'fit', 'note', 'target', 'intent', 'pinned', 'difficulty'])->keyBy('keyword');
        $tags = DB::table('tags')->where('study_id', $this->comparison->study_id)->whereIn('keyword', array_column($rows, 'keyword'))->orderBy('tag')->get(['keyword', 'tag'])->groupBy('keyword');

        return array_map(static fn(\stdClass $row): array => [...self::present($row, $decisions->get($row->keyword)), 'tags' => $tags->get($row->keyword)?->pluck('tag')->all() ?? []], $rows);
    }

    /** @return array<string, mixed> */
    private static function present(\stdClass $row, ?\stdClass $decision): array
    {
        $float = static fn(string|float|null $value): ?float => $value === null ? null : (float) $value;

        return [
            'keyword' => $row->keyword,
            'standing' => $row->standing,
            'positions' => Figures::ints($row->positions),
            'previous' => Figures::ints($row->previous),
            'own_url' => $row->own_url,
            'competitors_ranking' => $row->competitors_ranking,
            'competitors_above' => $row->competitors_above,
            'movement' => $row->movement,
            'volume' => $row->volume,
            'volume_derived' => $row->volume_derived,
            'advertiser_competition' => $float($row->advertiser_competition),
            'words' => $row->words,
            'season' => $row->season,
            'peak' => $row->peak,
            'page_conflict' => $row->page_conflict,
            'page_is_meant' => $row->own_url === null ? null : PageMeaning::isMeantFor($row->keyword, $row->own_url),
            'difficulty' => $float($row->difficulty),
            'cpc' => $float($row->cpc),
            'target' => $row->target,
            'visits_now' => $float($row->visits_now),
            'potential' => $float($row->potential),
            'gain' => $float($row->gain),
            'win_chance' => $float($row->win_chance),
            'expected_gain' => $float($row->expected_gain),
            'horizon' => $row->horizon,
            'tactic' => $row->tactic,
            'links_to_earn' => $row->links_to_earn,
            'intent' => $row->intent,
            'topic' => $row->topic,
            'mark' => $decision?->mark,
            'reason' => $decision?->reason,
            'fit' => $decision?->fit,
            'note' => $decision?->note,
            'wanted_target' => $decision?->target,
            'own_intent' => $decision?->intent,
            'pinned' => $decision->pinned ?? false,
            'own_difficulty' => $float($decision->difficulty ?? null),
        ];
    }
}
