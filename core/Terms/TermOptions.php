<?php

declare(strict_types=1);

namespace GreaterReach\Core\Terms;

use GreaterReach\Core\Exception\InvalidValue;

/** Which phrases of a text count as candidate terms. */
final readonly class TermOptions
{
    private const MOST_WORDS = 8;

    private function __construct(
        /** Words per phrase, from. */
        public int $fromWords,
        /** Words per phrase, to. */
        public int $toWords,
        /** Letters that each word must have. */
        public int $letters,
        /** Times that a phrase must occur. */
        public int $occurrences,
        /** Phrases to give, the most frequent ones. */
        public int $top,
    ) {
    }

    /** @throws InvalidValue */
    public static function of(int $fromWords = 1, int $toWords = 4, int $letters = 3, int $occurrences = 2, int $top = 50): self
    {
        if ($fromWords < 1 || $toWords < $fromWords || $toWords > self::MOST_WORDS) {
            throw InvalidValue::because(
                'words per phrase',
                $fromWords.' to '.$toWords,
                'isn’t between 1 and 8 with the smaller number first',
            );
        }
        if ($letters < 1 || $occurrences < 1 || $top < 1) {
            throw InvalidValue::because(
                'candidate terms',
                $letters.', '.$occurrences.', '.$top,
                'need at least one letter per word, one occurrence and one phrase',
            );
        }

        return new self($fromWords, $toWords, $letters, $occurrences, $top);
    }
}
