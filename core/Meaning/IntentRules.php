<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

use GreaterReach\Core\Keyword\KeywordKey;
use GreaterReach\Core\Keyword\Words;

/** Proposes the intent of a keyword from word lists, on whole words, each also with a trailing s; the first list wins. */
final readonly class IntentRules
{
    /**
     * @param array<string, int>  $ranks   phrase → place of its list
     * @param array<string, true> $starts  every beginning, in whole words, of a phrase of several words
     * @param list<Intent>        $intents in order of precedence
     */
    private function __construct(private array $ranks, private array $starts, private array $intents)
    {
    }

    /**
     * @param list<string> $buy
     * @param list<string> $compare
     * @param list<string> $learn
     */
    public static function of(array $buy, array $compare, array $learn): self
    {
        $ranks = $starts = [];
        foreach ([$buy, $compare, $learn] as $rank => $phrases) {
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

        return new self($ranks, $starts, [Intent::Buy, Intent::Compare, Intent::Learn, Intent::Open]);
    }

    public function intentOf(string $keyword): Intent
    {
        return $this->intentIn(Words::of($keyword));
    }

    /** @param list<string> $words of a keyword */
    public function intentIn(array $words): Intent
    {
        $best = \count($this->intents) - 1;
        foreach ($words as $from => $phrase) {
            if (isset($this->ranks[$phrase])) {
                $best = min($best, $this->ranks[$phrase]);
            }
            for ($next = $from + 1; isset($this->starts[$phrase], $words[$next]); ++$next) {
                $phrase .= ' '.$words[$next];
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
