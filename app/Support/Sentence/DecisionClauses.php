<?php

declare(strict_types=1);

namespace App\Support\Sentence;

use App\Support\Mark;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Intake\RowParser;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Clauses about decisions in this study, and about where the figures come from. */
final readonly class DecisionClauses
{
    public function __construct(private SentenceContext $context)
    {
    }

    /** @return ?Builder null when the clause is none of these */
    public function apply(Builder $rows, Clause $clause): ?Builder
    {
        return match ($clause->name) {
            'mark' => $this->mark($rows, $clause),
            'roadmap' => $this->roadmap($rows, $clause),
            'tag' => $rows->whereIn(
                'keyword',
                DB::table('tags')->select('keyword')->where('study_id', $this->context->study)->whereIn('tag', $clause->values()),
            ),
            // A person's, or where there is none a rule's; a row that was not weighed has a person's alone.
            'fit' => $rows->where(
                fn(Builder $fits) => NumberClauses::whole($fits, 'score_fit', $clause)->orWhere(
                    fn(Builder $unweighed) => $unweighed
                        ->whereNull('score_fit')
                        ->whereIn('keyword', NumberClauses::whole($this->decided(), 'fit', $clause)),
                ),
            ),
            'dated' => $this->dated($rows, $clause),
            default => null,
        };
    }

    /** What is on the roadmap, hidden or alone. */
    private function roadmap(Builder $rows, Clause $clause): Builder
    {
        $planned = DB::raw('(SELECT json_array_elements_text(?::json))');
        $isHidden = $clause->choice(Vocabulary::choicesOf('roadmap')) === 'hide';

        return $rows->whereRaw('comparison_rows.keyword '.($isHidden ? 'NOT ' : '')."IN {$planned->getValue($rows->getGrammar())}", [
            json_encode($this->context->onRoadmap(), JSON_THROW_ON_ERROR),
        ]);
    }

    /** `kept` is all that was not set aside; `open` all that no one decided on. */
    private function mark(Builder $rows, Clause $clause): Builder
    {
        $mark = $clause->choice(Vocabulary::choicesOf('mark'));

        return match ($mark) {
            'open' => $rows->whereNotIn('keyword', $this->decided()->whereNotNull('mark')),
            'kept' => $rows->whereNotIn('keyword', $this->decided()->where('mark', Mark::SetAside->value)),
            default => $rows->whereIn('keyword', $this->decided()->where('mark', $mark)),
        };
    }

    /** `dated>=2026-10-01`: some source says something about the keyword from that day on. */
    private function dated(Builder $rows, Clause $clause): Builder
    {
        try {
            $day = RowParser::day($clause->value);
        } catch (InvalidValue) {
            throw SentenceProblem::in((string) $clause, 'isn’t a day like 2026-12-31');
        }

        return $rows->whereIn(
            'keyword',
            DB::table('metrics')
                ->select('keyword')
                ->where('metrics.study_id', $this->context->study)
                ->whereIn(
                    'source_id',
                    DB::table('live_sources')
                        ->select('id')
                        ->where('study_id', $this->context->study)
                        ->where('day', $clause->operator, $day),
                ),
        );
    }

    private function decided(): Builder
    {
        return DB::table('decisions')->select('keyword')->where('study_id', $this->context->study);
    }
}
