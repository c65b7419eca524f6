<?php

declare(strict_types=1);

namespace App\Support\Sentence;

use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Site\UrlKey;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Clauses about who ranks, where, with which page, and how that moved. */
final readonly class DomainClauses
{
    public function __construct(private SentenceContext $context)
    {
    }

    /** @return ?Builder null when the clause is none of these */
    public function apply(Builder $rows, Clause $clause): ?Builder
    {
        return match (true) {
            $clause->name === 'competitors' => self::competitors($rows, $clause),
            $clause->name === 'own' => self::position($rows, $clause, 'own_position'),
            preg_match('/^p([1-9]\d?)$/D', $clause->name) === 1 => self::position(
                $rows,
                $clause,
                'positions['.($this->domain($clause) + 1).']',
            ),
            preg_match('/^m\d\d?$/D', $clause->name) === 1 => $this->movement($rows, $clause),
            $clause->name === 'combination' => self::combination($rows, $clause),
            $clause->name === 'holds' => $this->present($rows, $clause, '<> 0'),
            $clause->name === 'lacks' => $this->present($rows, $clause, '= 0'),
            $clause->name === 'gaps' => $this->gaps($rows, $clause),
            $clause->name === 'page' && \in_array($clause->value, ['new', 'existing'], true) =>
                $rows->where('has_page', $clause->value === 'existing'),
            $clause->name === 'page' => $this->page($rows, $clause),
            $clause->name === 'features' => $this->features($rows, $clause),
            $clause->name === 'paid' => $this->paid($rows, $clause),
            $clause->name === 'conflict' => $rows->where('page_conflict', $clause->choice(Vocabulary::choicesOf('conflict')) === 'yes'),
            default => null,
        };
    }

    /** `combination=5,7`: exactly these domains rank; bit 0 is ours. */
    private static function combination(Builder $rows, Clause $clause): Builder
    {
        $masks = $clause->values();
        if ($masks === [] || $clause->operator !== '=' || preg_grep('/^\d{1,9}$/D', $masks) !== $masks) {
            throw SentenceProblem::in((string) $clause, 'isn’t = and numbers of combinations from the table of overlaps');
        }

        return $rows->whereIn('presence', array_map(intval(...), $masks));
    }

    /** `competitors>=2@20`: at least two competitors within the top 20. */
    private static function competitors(Builder $rows, Clause $clause): Builder
    {
        if (preg_match('/^(\d{1,2})(?:@(10|20|50|100))?$/D', $clause->value, $part) !== 1) {
            throw SentenceProblem::in((string) $clause, 'isn’t a number of competitors, with @10, @20, @50 or @100 if you like');
        }
        $top = $part[2] ?? '100';

        return $rows->where($top === '100' ? 'competitors_ranking' : "competitors_in_{$top}", $clause->operator, (int) $part[1]);
    }

    /** `own<=20`, `p2=absent`. */
    private static function position(Builder $rows, Clause $clause, string $column): Builder
    {
        return $clause->operator === '=' && $clause->value === 'absent'
            ? $rows->whereRaw("{$column} IS NULL")
            : NumberClauses::whole($rows, $column, $clause);
    }

    /** `m2=climbed,entered`: how the second competitor as listed moved; `m0` is ours. */
    private function movement(Builder $rows, Clause $clause): Builder
    {
        $domain = $this->domain($clause);
        $movements = $clause->choices(Vocabulary::choicesOf('movement'));
        if (! $this->context->hasPrevious($domain)) {
            return $rows->whereRaw('false');
        }

        return $rows->whereIn(DB::raw('('.(new MovementSql($this->context->noise()))->movement($domain).')'), $movements);
    }

    /** `holds=1,3`: both rank; `lacks=2`: does not. 0 is ours. */
    private function present(Builder $rows, Clause $clause, string $condition): Builder
    {
        foreach ($clause->values() as $number) {
            if (! ctype_digit($number) || (int) $number > $this->context->competitors) {
                throw SentenceProblem::in((string) $clause, 'isn’t a list of domain numbers, 0 for ours');
            }
            $rows->whereRaw('presence & '.(1 << (int) $number).' '.$condition);
        }

        return $rows;
    }

    /** `gaps=opened`: since the snapshots before these. */
    private function gaps(Builder $rows, Clause $clause): Builder
    {
        $changes = $clause->choices(Vocabulary::choicesOf('gaps'));
        if (! $this->context->hasPrevious(0)) {
            return $rows->whereRaw('false');
        }

        return $rows->whereIn(DB::raw('('.MovementSql::gapChange($this->context->competitors).')'), $changes);
    }

    /** `page=https://…`: keywords for which any compared domain ranks with that page. */
    private function page(Builder $rows, Clause $clause): Builder
    {
        try {
            $url = UrlKey::of($clause->value);
        } catch (InvalidValue) {
            throw SentenceProblem::in((string) $clause, 'isn’t the URL of a page');
        }

        return $rows->whereIn('keyword', $this->rankings($this->context->channel)->where('url', $url));
    }

    /** `features=questions`: something beside the plain results stands on the results page. */
    private function features(Builder $rows, Clause $clause): Builder
    {
        return $rows->whereIn(
            'keyword',
            $this->rankings('organic')->where('features', 'ilike', '%'.addcslashes($clause->value, '%_\\').'%'),
        );
    }

    private function paid(Builder $rows, Clause $clause): Builder
    {
        $snapshots = $this->context->snapshots('paid');
        $ours = DB::table('rankings')->select('keyword')->where('study_id', $this->context->study)->where('snapshot_id', $snapshots[0]);
        $theirs = DB::table('rankings')
            ->select('keyword')
            ->where('study_id', $this->context->study)
            ->whereIn('snapshot_id', \array_slice($snapshots, 1));

        return match ($clause->choice(Vocabulary::choicesOf('paid'))) {
            'we' => $rows->whereIn('keyword', $ours),
            'they' => $rows->whereIn('keyword', $theirs),
            'only they' => $rows->whereIn('keyword', $theirs)->whereNotIn('keyword', $ours),
            default => $rows->whereNotIn('keyword', $theirs)->whereNotIn('keyword', $ours),
        };
    }

    private function rankings(string $channel): Builder
    {
        return DB::table('rankings')
            ->select('keyword')
            ->where('study_id', $this->context->study)
            ->whereIn('snapshot_id', $this->context->snapshots($channel));
    }

    private function domain(Clause $clause): int
    {
        $number = (int) substr($clause->name, 1);

        return $number <= $this->context->competitors
            ? $number
            : throw SentenceProblem::in((string) $clause, 'names a competitor that isn’t in this comparison');
    }
}
