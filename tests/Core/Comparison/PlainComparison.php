<?php

declare(strict_types=1);

namespace Tests\Core\Comparison;

use GreaterReach\Core\Comparison\Ranking;

/** The rules of a comparison written down plainly, one keyword at a time, with no thought for speed. */
final class PlainComparison
{
    /**
     * @param list<list<Ranking>>  $current
     * @param list<?list<Ranking>> $previous
     * @param list<string>         $listed
     *
     * @return list<array<string, mixed>>
     */
    public static function rows(array $current, array $previous, int $within, array $listed): array
    {
        $universe = [...$listed, ...array_map(static fn(Ranking $ranking): string => $ranking->keyword, array_merge(...$current))];
        $universe = array_values(array_unique($universe));
        sort($universe, SORT_STRING);

        return array_map(static fn(string $keyword): array => self::row($keyword, $current, $previous, $within), $universe);
    }

    /**
     * @param list<list<Ranking>>  $current
     * @param list<?list<Ranking>> $previous
     *
     * @return array<string, mixed>
     */
    private static function row(string $keyword, array $current, array $previous, int $within): array
    {
        $positions = array_map(static fn(array $snapshot): ?int => self::best($snapshot, $keyword, $within)?->position, $current);
        $before = array_map(
            static fn(?array $snapshot): ?int => $snapshot === null ? null : self::best($snapshot, $keyword, $within)?->position,
            $previous,
        );
        $own = $positions[0];
        $others = array_filter(\array_slice($positions, 1, null, true), static fn(?int $position): bool => $position !== null);
        $best = $others === [] ? null : min($others);

        return [
            'keyword' => $keyword,
            'standing' => match (true) {
                $own === null && $best === null => 'unclaimed',
                $own === null => 'gap',
                $best === null => 'alone',
                default => ['ahead', 'level', 'behind'][($own <=> $best) + 1],
            },
            'positions' => $positions,
            'previous' => $before,
            'url' => self::best($current[0], $keyword, $within)?->url,
            'best' => $best === null ? null : array_search($best, $others, true),
            'ranking' => \count($others),
            'above' => \count(array_filter($others, static fn(int $position): bool => $own === null || $position < $own)),
            'movement' => $previous[0] === null ? null : self::movement($before[0], $own),
        ];
    }

    /** @param list<Ranking> $snapshot */
    private static function best(array $snapshot, string $keyword, int $within): ?Ranking
    {
        $found = array_values(
            array_filter($snapshot, static fn(Ranking $ranking): bool => $ranking->keyword === $keyword && $ranking->position <= $within),
        );
        usort(
            $found,
            static fn(Ranking $a, Ranking $b): int => $a->position <=> $b->position ?:
            ($a->url === null) <=> ($b->url === null) ?:
            strcmp((string) $a->url, (string) $b->url),
        );

        return $found[0] ?? null;
    }

    private static function movement(?int $before, ?int $now): ?string
    {
        return match (true) {
            $before === null && $now === null => null,
            $before === null => 'entered',
            $now === null => 'left',
            default => ['climbed', 'steady', 'slipped'][($now <=> $before) + 1],
        };
    }
}
