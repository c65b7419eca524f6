<?php

declare(strict_types=1);

namespace App\Support\Sentence;

use GreaterReach\Core\Comparison\Movement;
use GreaterReach\Core\Comparison\Standing;
use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Priority\Horizon;
use Illuminate\Database\Query\Builder;

/**
 * Compiles a sentence into conditions on the rows of one comparison. It stores, matches and counts; which standing or
 * horizon a row has was decided by the core.
 */
final readonly class SentenceCompiler
{
    private const NUMBERS = [
        'volume' => 'volume', 'difficulty' => 'difficulty', 'cpc' => 'cpc', 'competition' => 'advertiser_competition', 'words' => 'words', 'gain' => 'gain',
        'visits' => 'visits_now', 'chance' => 'win_chance', 'expected' => 'expected_gain', 'links' => 'links_to_earn', 'above' => 'competitors_above',
        'best' => 'best_position',
    ];
    private const MARKS = ['shortlisted', 'set aside', 'open', 'kept'];

    /** @param int $competitors how many the comparison has */
    public function __construct(private int $competitors)
    {
    }

    /** @throws SentenceProblem */
    public function apply(Builder $rows, Sentence $sentence): Builder
    {
        foreach ($sentence->clauses as $clause) {
            $this->applyClause($rows, $clause);
        }

        return $rows;
    }

    private function applyClause(Builder $rows, Clause $clause): void
    {
        match (true) {
            isset(self::NUMBERS[$clause->name]) => $rows->where(self::NUMBERS[$clause->name], $clause->operator, self::number($clause)),
            $clause->name === 'competitors' => $this->competitors($rows, $clause),
            $clause->name === 'own' => self::position($rows, $clause, 'own_position'),
            preg_match('/^p([1-9]\d?)$/D', $clause->name) === 1 => $this->competitor($rows, $clause),
            $clause->name === 'combination' => $rows->whereIn('presence', array_map(intval(...), $clause->values())),
            $clause->name === 'text' => self::text($rows, $clause),
            $clause->name === 'brands' => self::brands($rows, $clause),
            $clause->name === 'mark' => self::mark($rows, $clause),
            $clause->name === 'topic' => $rows->where('topic', $clause->value),
            default => self::choice($rows, $clause),
        };
    }

    private static function choice(Builder $rows, Clause $clause): void
    {
        $choices = match ($clause->name) {
            'standing' => array_column(Standing::cases(), 'value'),
            'movement' => array_column(Movement::cases(), 'value'),
            'horizon' => array_column(Horizon::cases(), 'value'),
            'intent' => array_column(Intent::cases(), 'value'),
            default => throw SentenceProblem::in((string) $clause, 'is about nothing that is known of a keyword'),
        };
        $rows->whereIn($clause->name, self::choices($clause, $choices));
    }

    /** `competitors>=2@20`: at least two competitors within the top 20. */
    private function competitors(Builder $rows, Clause $clause): void
    {
        if (preg_match('/^(\d{1,2})(?:@(10|20|50|100))?$/D', $clause->value, $part) !== 1) {
            throw SentenceProblem::in((string) $clause, 'must be a number of competitors, and perhaps @10, @20, @50 or @100');
        }
        $within = (int) ($part[2] ?? 100);
        $ranking = array_map(static fn(int $place): string => "coalesce((positions[{$place}] <= {$within})::int, 0)", range(2, $this->competitors + 1));
        $rows->whereRaw('('.implode(' + ', $this->competitors === 0 ? ['0'] : $ranking).") {$clause->operator} ?", [(int) $part[1]]);
    }

    /** `p2<=10`: the second competitor as listed within the top 10; `p2=absent`. */
    private function competitor(Builder $rows, Clause $clause): void
    {
        $number = (int) substr($clause->name, 1);
        if ($number > $this->competitors) {
            throw SentenceProblem::in((string) $clause, 'names a competitor that this comparison does not have');
        }
        self::position($rows, $clause, 'positions['.($number + 1).']');
    }

    private static function position(Builder $rows, Clause $clause, string $column): void
    {
        if ($clause->operator === '=' && $clause->value === 'absent') {
            $rows->whereRaw("{$column} IS NULL");
        } else {
            $rows->whereRaw("{$column} {$clause->operator} ?", [self::number($clause)]);
        }
    }

    /** Plain words that must be there, each also as its plural; `-word` must not. */
    private static function text(Builder $rows, Clause $clause): void
    {
        foreach (preg_split('/\s+/', mb_strtolower($clause->value), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
            $word = implode(' ', Words::of($part));
            if ($word !== '') {
                $rows->whereRaw('keyword COLLATE "default" '.(str_starts_with($part, '-') ? '!~' : '~').' ?', ['(^|[^[:alnum:]])'.preg_quote($word).'(s|es)?($|[^[:alnum:]])']);
            }
        }
    }

    private static function brands(Builder $rows, Clause $clause): void
    {
        $foreign = 'brands > 1 AND brands & 1 = 0';
        match (self::choices($clause, ['hide', 'only'])[0]) {
            'hide' => $rows->whereRaw("NOT ({$foreign})"),
            default => $rows->whereRaw("({$foreign})"),
        };
    }

    /** `kept` is all that was not set aside; `open` all that nobody decided on. */
    private static function mark(Builder $rows, Clause $clause): void
    {
        match (self::choices($clause, self::MARKS)[0]) {
            'open' => $rows->whereNull('mark'),
            'kept' => $rows->whereRaw("mark IS DISTINCT FROM 'set aside'"),
            default => $rows->where('mark', $clause->value),
        };
    }

    /**
     * @param list<string> $known
     *
     * @return non-empty-list<string>
     */
    private static function choices(Clause $clause, array $known): array
    {
        $values = $clause->values();
        if ($clause->operator !== '=' || $values === [] || array_diff($values, $known) !== []) {
            throw SentenceProblem::in((string) $clause, 'must be '.$clause->name.'= and one of '.implode(', ', $known));
        }

        return $values;
    }

    private static function number(Clause $clause): float
    {
        return preg_match('/^\d{1,12}(\.\d{1,6})?$/D', $clause->value) === 1 ? (float) $clause->value : throw SentenceProblem::in((string) $clause, 'needs a number, 0 or more, with a point as decimal mark');
    }
}
