<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

/**
 * Proposes brand terms that no one has named yet: words whose keywords nearly always have one and the same domain first,
 * and that are too few to be a common thing. A person decides; nothing is hidden by it.
 */
final class BrandProposals
{
    private const FEWEST_KEYWORDS = 3;
    private const SURE = .8;
    private const SHORTEST = 4;

    /** @var array<array-key, array<int, int>> word → domain that leads (-1 for none) → keywords */
    private array $leaders = [];

    /**
     * @param list<string> $words  of one keyword that bears no known brand
     * @param ?int         $leader number of the competitor at position 1, null when there is none or it is ours
     */
    public function add(array $words, ?int $leader): void
    {
        foreach (array_unique($words) as $word) {
            if (\strlen($word) >= self::SHORTEST && ! ctype_digit($word)) {
                $this->leaders[$word][$leader ?? -1] = ($this->leaders[$word][$leader ?? -1] ?? 0) + 1;
            }
        }
    }

    /** @return list<array{word: string, domain: int, keywords: int}> most keywords first; ties: key order */
    public function proposals(): array
    {
        $found = [];
        foreach ($this->leaders as $word => $leaders) {
            $keywords = array_sum($leaders);
            arsort($leaders);
            $domain = (int) array_key_first($leaders);
            if ($domain > 0 && $keywords >= self::FEWEST_KEYWORDS && $leaders[$domain] / $keywords >= self::SURE) {
                $found[] = ['word' => (string) $word, 'domain' => $domain, 'keywords' => $keywords];
            }
        }
        usort(
            $found,
            static fn(array $one, array $other): int => $other['keywords'] <=> $one['keywords'] ?: strcmp($one['word'], $other['word']),
        );

        return $found;
    }
}
