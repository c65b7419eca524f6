<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

use GreaterReach\Core\Keyword\KeywordKey;
use GreaterReach\Core\Keyword\Words;

/** Proposes the intent of a keyword from word lists, on whole words, each also with a trailing s; the first list wins. */
final readonly class IntentRules
{
    /**
     * @param array<string, int> $ranks   phrase → place of its list
     * @param list<Intent>       $intents in order of precedence
     */
    private function __construct(private array $ranks, private array $intents, private int $longestPhrase)
    {
    }

    /**
     * @param list<string> $buy
     * @param list<string> $compare
     * @param list<string> $learn
     */
    public static function of(array $buy, array $compare, array $learn): self
    {
        $ranks = [];
        $longest = 1;
        foreach ([$buy, $compare, $learn] as $rank => $phrases) {
            foreach ($phrases as $phrase) {
                $words = Words::of(KeywordKey::of($phrase));
                $longest = max($longest, \count($words));
                foreach (self::spellings($words) as $spelling) {
                    $ranks[$spelling] ??= $rank;
                }
            }
        }

        return new self($ranks, [Intent::Buy, Intent::Compare, Intent::Learn, Intent::Open], $longest);
    }

    public function intentOf(string $keyword): Intent
    {
        $best = \count($this->intents) - 1;
        $words = Words::of($keyword);
        foreach ($words as $from => $phrase) {
            $best = min($best, $this->ranks[$phrase] ?? $best);
            for ($length = 1; $length < $this->longestPhrase && isset($words[$from + $length]); ++$length) {
                $phrase .= ' '.$words[$from + $length];
                $best = min($best, $this->ranks[$phrase] ?? $best);
            }
        }

        return $this->intents[$best];
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
