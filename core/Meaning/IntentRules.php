<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\Internal\PhraseRanks;

/** Proposes the intent of a keyword from word lists, on whole words, each also with a trailing s; the first list wins. */
final readonly class IntentRules
{
    private const INTENTS = [Intent::Buy, Intent::Compare, Intent::Learn];

    /**
     * @param list<string> $buyFeatures
     * @param list<string> $learnFeatures
     */
    private function __construct(private PhraseRanks $phrases, private array $buyFeatures, private array $learnFeatures)
    {
    }

    /**
     * @param list<string> $buy           words, as $compare and $learn
     * @param list<string> $compare
     * @param list<string> $learn
     * @param list<string> $buyFeatures   of the results page, as $learnFeatures
     * @param list<string> $learnFeatures
     */
    public static function of(array $buy, array $compare, array $learn, array $buyFeatures = [], array $learnFeatures = []): self
    {
        return new self(PhraseRanks::of([$buy, $compare, $learn]), self::plain($buyFeatures), self::plain($learnFeatures));
    }

    /**
     * @param list<string> $names
     *
     * @return list<string>
     */
    private static function plain(array $names): array
    {
        return array_map(static fn(string $name): string => mb_strtolower(trim($name)), $names);
    }

    /** @param list<string> $features of the results page, in lower case */
    public function intentOf(string $keyword, array $features = []): Intent
    {
        return $this->intentIn(Words::of($keyword), $features);
    }

    /**
     * By the words of a keyword; where no list knows them, by what the results page shows.
     *
     * @param list<string> $words    of a keyword
     * @param list<string> $features of the results page, in lower case
     */
    public function intentIn(array $words, array $features = []): Intent
    {
        $rank = $this->phrases->bestIn($words);

        return match (true) {
            $rank !== null => self::INTENTS[$rank],
            array_intersect($features, $this->buyFeatures) !== [] => Intent::Buy,
            array_intersect($features, $this->learnFeatures) !== [] => Intent::Learn,
            default => Intent::Open,
        };
    }
}
