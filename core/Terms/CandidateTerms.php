<?php

declare(strict_types=1);

namespace GreaterReach\Core\Terms;

use GreaterReach\Core\Keyword\Words;

/**
 * Finds the phrases that a text repeats: runs of words inside one sentence, no stop word at either end, every word with
 * enough letters. Most occurrences first; ties by more words, then by key order.
 */
final readonly class CandidateTerms
{
    public function __construct(private StopWords $stopWords)
    {
    }

    /** @return array<array-key, int> phrase → occurrences */
    public function in(string $text, TermOptions $options): array
    {
        $sentences = array_map(
            Words::of(...),
            preg_split('/[.!?;:,()\[\]"“”\/|\r\n]+/u', mb_strtolower($text, 'UTF-8'), -1, PREG_SPLIT_NO_EMPTY) ?: [],
        );
        $vocabulary = array_values(array_unique(array_merge([], ...$sentences)));
        $stops = $this->stopWords->among($vocabulary);
        $counts = [];
        foreach ($sentences as $words) {
            foreach ($this->phrases($words, $stops, $options) as $phrase) {
                $counts[$phrase] = ($counts[$phrase] ?? 0) + 1;
            }
        }

        return self::best($counts, $options);
    }

    /**
     * @param list<string>        $words
     * @param array<string, true> $stops
     *
     * @return \Generator<int, string>
     */
    private function phrases(array $words, array $stops, TermOptions $options): \Generator
    {
        foreach ($words as $from => $first) {
            $phrase = [];
            for ($to = $from; $to < \count($words) && \count($phrase) < $options->toWords; ++$to) {
                $phrase[] = $words[$to];
                if (isset($stops[$first]) || mb_strlen($words[$to], 'UTF-8') < $options->letters && ! isset($stops[$words[$to]])) {
                    break;
                }
                if (\count($phrase) >= $options->fromWords && ! isset($stops[$words[$to]])) {
                    yield implode(' ', $phrase);
                }
            }
        }
    }

    /**
     * @param array<array-key, int> $counts
     *
     * @return array<array-key, int>
     */
    private static function best(array $counts, TermOptions $options): array
    {
        $frequent = array_filter($counts, static fn(int $count): bool => $count >= $options->occurrences);
        uksort($frequent, static fn(int|string $a, int|string $b): int => $frequent[$b] <=> $frequent[$a]
            ?: substr_count((string) $b, ' ') <=> substr_count((string) $a, ' ')
            ?: strcmp((string) $a, (string) $b));

        return \array_slice($frequent, 0, $options->top, true);
    }
}
