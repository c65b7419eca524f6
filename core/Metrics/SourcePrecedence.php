<?php

declare(strict_types=1);

namespace GreaterReach\Core\Metrics;

use GreaterReach\Core\Rulebook\Rulebook;

/** Which kinds of source a rulebook asks first: for all metrics, and for groups of them that have an order of their own. */
final readonly class SourcePrecedence
{
    private const GROUPS = ['volume', 'difficulty', 'cpc'];

    /**
     * @param list<string>                $kinds  best first
     * @param array<string, list<string>> $groups group of metrics → kinds, best first
     */
    private function __construct(private array $kinds, private array $groups)
    {
    }

    public static function of(Rulebook $rulebook): self
    {
        $groups = [];
        foreach (self::GROUPS as $group) {
            $groups[$group] = $rulebook->words($group.'_sources');
        }

        return new self($rulebook->words('metric_sources'), array_filter($groups));
    }

    /**
     * @param list<Source> $sources
     *
     * @return array<int, int> source id → rank, the best 0
     */
    public function rank(array $sources): array
    {
        return SourceOrder::rank($sources, $this->kinds);
    }

    /**
     * @param list<Source> $sources
     *
     * @return array<string, array<int, int>> group → source id → rank, for the groups with an order of their own
     */
    public function ownRanks(array $sources): array
    {
        return array_map(static fn(array $kinds): array => SourceOrder::rank($sources, $kinds), $this->groups);
    }
}
