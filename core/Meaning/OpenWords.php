<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

use GreaterReach\Core\Keyword\Words;

/**
 * Words that many keywords without an intent share, whatever they are about: a word that occurs in keywords of many topics, and not in
 * these topics' names, says how people search and may make a rule of intents; any other says only what the keywords are about.
 */
final class OpenWords
{
    /** A word of fewer topics says what the keywords are about. */
    public const LEAST_TOPICS = 3;

    /** @var array<string, int> word → keywords that have it */
    private array $keywords = [];

    /** @var array<string, array<string, true>> word → topics of keywords that have it */
    private array $topics = [];

    /** @param ?string $topic null where it has none: it tells nothing then */
    public function add(string $keyword, ?string $topic): void
    {
        if ($topic === null) {
            return;
        }
        foreach (array_diff(array_unique(Words::of($keyword)), Words::of($topic)) as $word) {
            $this->keywords[$word] = ($this->keywords[$word] ?? 0) + 1;
            $this->topics[$word][$topic] = true;
        }
    }

    /** @return list<string> that stand in enough topics, in no order */
    public function words(): array
    {
        $often = array_filter($this->topics, static fn(array $topics): bool => \count($topics) >= self::LEAST_TOPICS);

        return array_map(strval(...), array_keys($often));
    }

    /**
     * @param array<string, mixed> $but  words that make no rule, such as stop words and brand terms → anything
     * @param int                  $most so many at most
     *
     * @return list<array{word: string, keywords: int, topics: int}> those of the most topics first, then of the most keywords
     */
    public function often(array $but, int $most): array
    {
        $often = array_map(fn(string $word): array => [
            'word' => $word,
            'keywords' => $this->keywords[$word],
            'topics' => \count($this->topics[$word]),
        ], array_values(array_filter(
            $this->words(),
            static fn(string $word): bool => ! isset($but[$word]) && preg_match('/^\p{L}{2,}$/u', $word) === 1,
        )));
        usort($often, static fn(array $one, array $other): int => [$other['topics'], $other['keywords'], $one['word']]
            <=> [$one['topics'], $one['keywords'], $other['word']]);

        return \array_slice($often, 0, $most);
    }
}
