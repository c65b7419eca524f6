<?php

declare(strict_types=1);

namespace App\Support\Sentence;

use App\Support\Catalogue\RowCatalogue;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Priority\TacticLabel;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/**
 * Compiles a sentence into conditions on the rows of one comparison. It stores, matches and counts; which standing or
 * horizon a row has was decided by the core.
 */
final readonly class SentenceCompiler
{
    /** Clauses that ask a column of their name for one of its values. */
    private const COLUMNS = ['standing', 'movement', 'horizon', 'intent', 'season'];

    private WordClauses $words;
    private DomainClauses $domains;
    private DecisionClauses $decisions;

    public function __construct(private SentenceContext $context)
    {
        $this->words = new WordClauses($context);
        $this->domains = new DomainClauses($context);
        $this->decisions = new DecisionClauses($context);
    }

    /** @throws SentenceProblem */
    public function apply(Builder $rows, Sentence $sentence): Builder
    {
        foreach ($sentence->clauses as $clause) {
            $clause instanceof Alternatives ? $this->applyAny($rows, $clause) : $this->applyClause($rows, $clause);
        }

        return $rows;
    }

    private function applyAny(Builder $rows, Alternatives $alternatives): void
    {
        $rows->where(function (Builder $any) use ($alternatives): void {
            foreach ($alternatives->clauses as $clause) {
                $any->orWhere(fn(Builder $one) => $this->applyClause($one, $clause));
            }
        });
    }

    private function applyClause(Builder $rows, Clause $clause): void
    {
        $ranges = RowCatalogue::ranges();
        $narrowed = match (true) {
            isset($ranges[$clause->name]) => NumberClauses::of($rows, $ranges[$clause->name], $clause),
            $clause->name === 'share' => $rows->whereRaw(
                "visits_now {$clause->operator} ? * ?::float8",
                [$clause->number(), $this->context->ownVisits()],
            ),
            $clause->name === 'stage' => $this->stage($rows, $clause),
            $clause->name === 'tactic' => self::tactic($rows, $clause),
            $clause->name === 'topic' => $rows->where('topic', $clause->value),
            default => $this->domains->apply($rows, $clause) ??
                ($this->words->apply($rows, $clause) ?? ($this->decisions->apply($rows, $clause) ?? self::choice($rows, $clause))),
        };
        if ($narrowed === null) {
            throw SentenceProblem::in((string) $clause, 'is not a known clause');
        }
    }

    private static function choice(Builder $rows, Clause $clause): ?Builder
    {
        return \in_array($clause->name, self::COLUMNS, true)
            ? $rows->whereIn($clause->name, $clause->choices(Vocabulary::choicesOf($clause->name)))
            : null;
    }

    /** A tactic with or without links beside it. */
    private static function tactic(Builder $rows, Clause $clause): Builder
    {
        $tactics = $clause->choices(Vocabulary::choicesOf('tactic'));

        return $rows->whereIn('tactic', [
            ...$tactics,
            ...array_map(static fn(string $tactic): string => (string) TacticLabel::of(Tactic::from($tactic), true), $tactics),
        ]);
    }

    /** The funnel stage that a person said, or else that of the intent. */
    private function stage(Builder $rows, Clause $clause): Builder
    {
        $stages = $clause->choices(Vocabulary::choicesOf('stage'));
        $intents = array_filter(Intent::cases(), static fn(Intent $intent): bool => \in_array($intent->stage() ?? 'unset', $stages, true));
        $said = fn(): Builder => DB::table('decisions')->select('keyword')->where('study_id', $this->context->study)->whereNotNull('stage');

        return $rows->where(static function (Builder $either) use ($said, $stages, $intents): void {
            $either->whereIn('keyword', $said()->whereIn('stage', $stages))->orWhere(
                static fn(Builder $other): Builder => $other
                    ->whereIn('intent', array_column($intents, 'value'))
                    ->whereNotIn('keyword', $said()),
            );
        });
    }
}
