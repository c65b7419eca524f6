<?php

declare(strict_types=1);

namespace GreaterReach\Core\Meaning;

use GreaterReach\Core\Keyword\Stemmer;
use GreaterReach\Core\Keyword\Words;

/**
 * The set of word stems of every keyword, by number: eight bytes a stem, in one text. Two stems whose 64-bit hashes are equal
 * count as one, which by chance happens once in billions of billions of pairs.
 */
final class StemSets
{
    private const HASH = 'xxh3';
    private const BYTES = 8;
    private const NUMBERS = 'J*';

    /** Keywords whose words are stemmed at a time, so that their vocabulary stays small. */
    private const STEMMED_AT_ONCE = 50_000;

    private string $sets = '';

    /** @var list<int> where the set of a keyword ends */
    private array $ends = [];

    /** @param list<string> $keywords */
    public static function of(array $keywords, Stemmer $stemmer): self
    {
        $sets = new self();
        for ($from = 0, $all = \count($keywords); $from < $all; $from += self::STEMMED_AT_ONCE) {
            $words = array_map(self::words(...), \array_slice($keywords, $from, self::STEMMED_AT_ONCE));
            $hashes = self::hashes($words, $stemmer);
            foreach ($words as $ofKeyword) {
                $set = [];
                foreach ($ofKeyword as $word) {
                    $set[$hashes[$word]] = $hashes[$word];
                }
                $sets->add($set);
            }
        }

        return $sets;
    }

    /** The same for keywords with the same set; empty for one without a word. */
    public function at(int $number): string
    {
        $from = $this->ends[$number - 1] ?? 0;

        return substr($this->sets, $from, $this->ends[$number] - $from);
    }

    /** Whether two keywords share at least half of all their stems; one without a word is alike to none. */
    public function areAlike(int $one, int $other): bool
    {
        $here = $this->at($one);
        $there = $this->at($other);
        if ($here === '' || $there === '') {
            return false;
        }
        $shared = self::shared($this->stemsOf($one), $this->stemsOf($other));
        $all = intdiv(\strlen($here) + \strlen($there), self::BYTES) - $shared;

        return 2 * $shared >= $all;
    }

    /** How many stems a keyword has. */
    public function countOf(int $number): int
    {
        return intdiv($this->ends[$number] - ($this->ends[$number - 1] ?? 0), self::BYTES);
    }

    /** @return list<int> hashes of the stems of a keyword */
    public function stemsOf(int $number): array
    {
        /** @var array<int, int> $stems */
        $stems = unpack(self::NUMBERS, $this->at($number));

        return array_values($stems);
    }

    /** The hash of a stem in hexadecimal. */
    public static function hex(string $stem): string
    {
        return hash(self::HASH, $stem);
    }

    /** The same of a hash as stemsOf() gives it. */
    public static function asHex(int $hash): string
    {
        return bin2hex(pack(self::NUMBERS, $hash));
    }

    /** Whether all stems of one are among those of the other, or they share at least half of all. */
    public function areRelated(int $one, int $other): bool
    {
        [$here, $there] = [$this->stemsOf($one), $this->stemsOf($other)];
        $shared = self::shared($here, $there);
        $fewer = min(\count($here), \count($there));

        return $shared > 0 && ($shared === $fewer || 2 * $shared >= \count($here) + \count($there) - $shared);
    }

    /**
     * @param list<int> $here
     * @param list<int> $there
     */
    private static function shared(array $here, array $there): int
    {
        $shared = 0;
        foreach ($here as $stem) {
            $shared += \in_array($stem, $there, true) ? 1 : 0;
        }

        return $shared;
    }

    /** @param array<array-key, string> $hashes each once */
    private function add(array $hashes): void
    {
        sort($hashes, SORT_STRING);
        $this->sets .= implode('', $hashes);
        $this->ends[] = \strlen($this->sets);
    }

    /** @return list<string> */
    private static function words(string $keyword): array
    {
        return Words::of(str_replace('’', "'", $keyword));
    }

    /**
     * @param list<list<string>> $words of some keywords
     *
     * @return array<string, string> word → hash of its stem
     */
    private static function hashes(array $words, Stemmer $stemmer): array
    {
        $vocabulary = [];
        foreach ($words as $ofKeyword) {
            foreach ($ofKeyword as $word) {
                $vocabulary[$word] = true;
            }
        }

        return array_map(
            static fn(string $stem): string => hash(self::HASH, $stem, true),
            $stemmer->stems(array_map(strval(...), array_keys($vocabulary))),
        );
    }
}
