<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\Internal\PhraseRanks;

/** Proposes the intent of a keyword from word lists, on whole words, each also with a trailing s; the first list wins. */
final readonly class IntentRules
{
    private const INTENTS = [Intent::Buy, Intent::Compare, Intent::Learn];

    private function __construct(private PhraseRanks $phrases)
    {
    }

    /**
     * @param list<string> $buy
     * @param list<string> $compare
     * @param list<string> $learn
     */
    public static function of(array $buy, array $compare, array $learn): self
    {
        return new self(PhraseRanks::of([$buy, $compare, $learn]));
    }

    public function intentOf(string $keyword): Intent
    {
        return $this->intentIn(Words::of($keyword));
    }

    /** @param list<string> $words of a keyword */
    public function intentIn(array $words): Intent
    {
        $rank = $this->phrases->bestIn($words);

        return $rank === null ? Intent::Open : self::INTENTS[$rank];
    }
}
