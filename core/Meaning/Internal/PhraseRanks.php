<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning\Internal;

use GreaterReach\Core\Keyword\KeywordKey;
use GreaterReach\Core\Keyword\Words;

/**
 * Finds the best of many phrases in a keyword, on whole words, each also with a trailing s.
 *
 * @internal
 */
final readonly class PhraseRanks
{
    /**
     * @param array<string, int>  $ranks  phrase → rank
     * @param array<string, true> $starts every beginning, in whole words, of a phrase of several words
     */
    private function __construct(private array $ranks, private array $starts)
    {
    }

    /** @param list<list<string>> $lists phrases of the best rank (0) first */
    public static function of(array $lists): self
    {
        $ranks = $starts = [];
        foreach ($lists as $rank => $phrases) {
            foreach ($phrases as $phrase) {
                $words = Words::of(KeywordKey::of($phrase));
                foreach (self::spellings($words) as $spelling) {
                    $ranks[$spelling] ??= $rank;
                }
                for ($length = 1; $length < \count($words); ++$length) {
                    $starts += array_fill_keys(self::spellings(\array_slice($words, 0, $length)), true);
                }
            }
        }

        return new self($ranks, $starts);
    }

    /**
     * @param list<string> $words of a keyword
     *
     * @return ?int the best rank of a phrase in it
     */
    public function bestIn(array $words): ?int
    {
        $best = PHP_INT_MAX;
        foreach ($words as $from => $phrase) {
            if (isset($this->ranks[$phrase])) {
                $best = min($best, $this->ranks[$phrase]);
            }
            for ($next = $from + 1; isset($this->starts[$phrase], $words[$next]); ++$next) {
                $phrase .= ' '.$words[$next];
                $best = min($best, $this->ranks[$phrase] ?? $best);
            }
        }

        return $best === PHP_INT_MAX ? null : $best;
    }

    /**
     * @param list<string> $words
     *
     * @return list<string> the phrase with each word as it is and with a trailing s
     */
    private static function spellings(array $words): array
    {
        $spellings = [''];
        foreach ($words as $word) {
            $longer = [];
            foreach ($spellings as $start) {
                $longer[] = ltrim($start.' '.$word);
                $longer[] = ltrim($start.' '.$word.'s');
            }
            $spellings = $longer;
        }

        return $spellings;
    }
}
