<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

use GreaterReach\Core\Keyword\KeywordKey;
use GreaterReach\Core\Keyword\Words;

/**
 * Tells which domains' brands a keyword names: a run of whole words, joined, equals a brand term, joined. So `ink moor`,
 * `ink-moor` and `inkmoor` are one, and a trailing 's does not count.
 */
final readonly class BrandMatcher
{
    /**
     * @param array<string, int>  $masks  joined term → bit mask of the domains it belongs to (bit 0 is ours)
     * @param array<string, true> $starts every beginning of a term, so that a run that leads nowhere is given up at once
     */
    private function __construct(private array $masks, private array $starts)
    {
    }

    /** @param list<list<string>> $terms brand terms of every domain, ours first */
    public static function of(array $terms): self
    {
        $masks = [];
        foreach ($terms as $domain => $ofDomain) {
            foreach ($ofDomain as $term) {
                $joined = self::joined(KeywordKey::of($term));
                if ($joined !== '') {
                    $masks[$joined] = ($masks[$joined] ?? 0) | 1 << $domain;
                }
            }
        }

        $starts = [];
        foreach (array_keys($masks) as $term) {
            for ($length = \strlen((string) $term); $length > 0; --$length) {
                $starts[substr((string) $term, 0, $length)] = true;
            }
        }

        return new self($masks, $starts);
    }

    /**
     * @param ?list<string> $words of the keyword, if they are at hand
     *
     * @return int bit i is set when the keyword is branded with domain i
     */
    public function domainsIn(string $keyword, ?array $words = null): int
    {
        $found = 0;
        $words = self::withoutGenitive($keyword, $words ?? Words::of($keyword));
        foreach ($words as $from => $run) {
            if (isset($this->starts[$run])) {
                $found |= $this->domainsOfRun($run, $words, $from + 1);
            }
        }

        return $found;
    }

    /** @param list<string> $words */
    private function domainsOfRun(string $run, array $words, int $next): int
    {
        $found = $this->masks[$run] ?? 0;
        for (; isset($this->starts[$run], $words[$next]); ++$next) {
            $run .= $words[$next];
            $found |= $this->masks[$run] ?? 0;
        }

        return $found;
    }

    /** Branded with a competitor and not with us: hidden from opportunities. */
    public static function isForeign(int $mask): bool
    {
        return $mask > 1 && ($mask & 1) === 0;
    }

    private static function joined(string $term): string
    {
        return implode('', self::withoutGenitive($term, Words::of($term)));
    }

    /**
     * @param list<string> $words
     *
     * @return list<string>
     */
    private static function withoutGenitive(string $keyword, array $words): array
    {
        if (! str_contains($keyword, "'") && ! str_contains($keyword, '’')) {
            return $words;
        }

        return array_map(static fn(string $word): string => (string) preg_replace('/[\'’]s$/u', '', $word), $words);
    }
}
