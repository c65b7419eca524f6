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
    /** @param array<string, int> $masks joined term → bit mask of the domains it belongs to (bit 0 is ours) */
    private function __construct(private array $masks, private int $longest)
    {
    }

    /** @param list<list<string>> $terms brand terms of every domain, ours first */
    public static function of(array $terms): self
    {
        $masks = [];
        foreach ($terms as $domain => $ofDomain) {
            foreach ($ofDomain as $term) {
                $joined = implode('', self::bareWords(KeywordKey::of($term)));
                if ($joined !== '') {
                    $masks[$joined] = ($masks[$joined] ?? 0) | 1 << $domain;
                }
            }
        }

        return new self($masks, $masks === [] ? 0 : max(array_map(strlen(...), array_map(strval(...), array_keys($masks)))));
    }

    /** @return int bit i is set when the keyword is branded with domain i */
    public function domainsIn(string $keyword): int
    {
        $found = 0;
        $words = self::bareWords($keyword);
        foreach (array_keys($words) as $from) {
            $run = '';
            for ($to = $from; isset($words[$to]); ++$to) {
                $run .= $words[$to];
                if (\strlen($run) > $this->longest) {
                    break;
                }
                $found |= $this->masks[$run] ?? 0;
            }
        }

        return $found;
    }

    /** Branded with a competitor and not with us: hidden from opportunities. */
    public static function isForeign(int $mask): bool
    {
        return $mask > 1 && ($mask & 1) === 0;
    }

    /** @return list<string> */
    private static function bareWords(string $keyword): array
    {
        $words = Words::of($keyword);
        if (! str_contains($keyword, "'") && ! str_contains($keyword, '’')) {
            return $words;
        }

        return array_map(static fn(string $word): string => (string) preg_replace('/[\'’]s$/u', '', $word), $words);
    }
}
