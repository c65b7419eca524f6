<?php

declare(strict_types=1);

namespace GreaterReach\Core\Comparison;

use GreaterReach\Core\Exception\InvalidArgument;

/**
 * Counts keywords by the exact combination of domains present, for any number of domains.
 *
 * A combination is a bit mask: bit 0 is our domain, bit i competitor i. The counts of all combinations but the empty
 * one sum to the number of keywords with anyone present.
 */
final class Overlap
{
    private const MAX_DOMAINS = 62;

    /** @var array<int, int> mask → keywords */
    private array $counts = [];

    public function __construct(private readonly int $domains)
    {
        if ($domains < 1 || $domains > self::MAX_DOMAINS) {
            throw InvalidArgument::because('Overlap counts 1 to 62 domains.');
        }
    }

    /** @param array<int, int> $counts mask → keywords, as `counts()` gave them */
    public static function fromCounts(int $domains, array $counts): self
    {
        $overlap = new self($domains);
        $overlap->counts = $counts;

        return $overlap;
    }

    public function add(int $presence): void
    {
        $this->counts[$presence] = ($this->counts[$presence] ?? 0) + 1;
    }

    /** @return array<int, int> mask → keywords, combinations with no one left out, largest first */
    public function counts(): array
    {
        $counts = $this->counts;
        unset($counts[0]);
        ksort($counts);
        arsort($counts);

        return $counts;
    }

    /** Keywords that both have ÷ keywords that either has; null when neither has any. */
    public function jaccard(int $one, int $other): ?float
    {
        $both = $either = 0;
        foreach ($this->counts as $mask => $count) {
            $has = (($mask >> $one) & 1) + (($mask >> $other) & 1);
            $both += $has === 2 ? $count : 0;
            $either += $has > 0 ? $count : 0;
        }

        return $either === 0 ? null : $both / $either;
    }

    /** @return list<list<?float>> Jaccard similarity of every pair */
    public function similarities(): array
    {
        $all = range(0, $this->domains - 1);

        return array_map(fn(int $one): array => array_map(fn(int $other): ?float => $this->jaccard($one, $other), $all), $all);
    }
}
