<?php

declare(strict_types=1);

namespace App\Support\Sentence;

use GreaterReach\Core\Keyword\Words;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

/** Clauses about the words of a keyword: plain, patterns, brands, and the noise. */
final readonly class WordClauses
{
    private const LONGEST_PATTERN = 200;

    public function __construct(private SentenceContext $context)
    {
    }

    /** @return ?Builder null when the clause is none of these */
    public function apply(Builder $rows, Clause $clause): ?Builder
    {
        return match ($clause->name) {
            'text' => self::text($rows, $clause),
            'regex' => self::regex($rows, $clause),
            'brands' => self::hideOrOnly($rows, $clause, 'brands > 1 AND brands & 1 = 0'),
            'codes' => self::hideOrOnly($rows, $clause, 'is_code'),
            'navigational' => self::hideOrOnly($rows, $clause, 'is_navigational'),
            'negatives' => $this->negatives($rows, $clause),
            default => null,
        };
    }

    /** Plain words that must be there, each also as its plural; `-word` must not. */
    private static function text(Builder $rows, Clause $clause): Builder
    {
        foreach (preg_split('/\s+/', mb_strtolower($clause->value), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
            $word = implode(' ', Words::of($part));
            if ($word !== '') {
                $rows->whereRaw('keyword COLLATE "default" '.(str_starts_with($part, '-') ? '!~' : '~').' ?', [self::wholeWord($word)]);
            }
        }

        return $rows;
    }

    /** A pattern without back references, tried on an empty text first so that a broken one is told and not run. */
    private static function regex(Builder $rows, Clause $clause): Builder
    {
        if (\strlen($clause->value) > self::LONGEST_PATTERN || preg_match('/\\\\[1-9]/', $clause->value) === 1) {
            throw SentenceProblem::in((string) $clause, 'isn’t a pattern of at most 200 characters without back references');
        }
        if (PatternSize::of($clause->value) > PatternSize::MOST) {
            throw SentenceProblem::in(
                (string) $clause,
                sprintf('repeats too much: at most %d characters when written out. Use smaller numbers in braces', PatternSize::MOST),
            );
        }
        try {
            DB::selectOne('SELECT \'\' ~ ? AS fits', [$clause->value]);
        } catch (QueryException $problem) {
            throw SentenceProblem::in(
                (string) $clause,
                'is no pattern: '.
                    (preg_match('/invalid regular expression: (.+?)(?:\n| \(|$)/', $problem->getMessage(), $why) === 1
                        ? $why[1]
                        : 'it is invalid'),
            );
        }

        return $rows->whereRaw('keyword COLLATE "default" ~ ?', [$clause->value]);
    }

    private static function hideOrOnly(Builder $rows, Clause $clause, string $condition): Builder
    {
        return $rows->whereRaw(
            $clause->choice(Vocabulary::choicesOf($clause->name)) === 'hide' ? "NOT ({$condition})" : "({$condition})",
        );
    }

    /** The study's standing list of words that it does not want to see. */
    private function negatives(Builder $rows, Clause $clause): Builder
    {
        $words = array_map(static fn(string $word): string => implode(' ', Words::of(mb_strtolower($word))), $this->context->negatives());
        $patterns = array_map(self::wholeWord(...), array_values(array_filter($words, static fn(string $word): bool => $word !== '')));
        $hides = $clause->choice(Vocabulary::choicesOf($clause->name)) === 'hide';
        if ($patterns === []) {
            return $rows->whereRaw($hides ? 'true' : 'false');
        }

        return $rows->whereRaw('keyword COLLATE "default" '.($hides ? '!~' : '~').' ?', [implode('|', $patterns)]);
    }

    private static function wholeWord(string $word): string
    {
        return '(^|[^[:alnum:]])'.preg_quote($word).'(s|es)?($|[^[:alnum:]])';
    }
}
