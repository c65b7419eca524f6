<?php

declare(strict_types=1);

namespace GreaterReach\Core\Metrics;

/** Which kinds of source a rulebook asks first: for all metrics, and for groups of them that have an order of their own. */
final readonly class SourcePrecedence
{
    /**
     * @param list<string>                $kinds  best first
     * @param array<string, list<string>> $groups group of metrics → kinds, best first
     */
    private function __construct(private array $kinds, private array $groups)
    {
    }

    /**
     * @param list<string>                $kinds  best first
     * @param array<string, list<string>> $groups group of metrics → kinds, best first; an empty one goes by the others
     */
    public static function of(array $kinds, array $groups): self
    {
        return new self($kinds, array_filter($groups));
    }

    /**
     * @param list<MetricSource> $sources
     *
     * @return array<int, int> source id → rank, the best 0
     */
    public function rank(array $sources): array
    {
        return SourceRanking::rank($sources, $this->kinds);
    }

    /**
     * @param list<MetricSource> $sources
     *
     * @return array<string, array<int, int>> group → source id → rank, for the groups with an order of their own
     */
    public function ownRanks(array $sources): array
    {
        return array_map(static fn(array $kinds): array => SourceRanking::rank($sources, $kinds), $this->groups);
    }
}
