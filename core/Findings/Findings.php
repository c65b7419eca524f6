<?php

declare(strict_types=1);

namespace GreaterReach\Core\Findings;

/** Findings in a study, most worth first. */
final class Findings
{
    /** As many as a minute holds. */
    public const MOST = 8;

    /** Share of today's visits; a finding worth less is left out. From memory. */
    public const LEAST = .01;

    /** So many rows each finding names. */
    private const NAMED = 3;

    /** Of the findings, missing data takes so many where there is more to say. */
    private const FEWEST_LACKS = 1;

    /**
     * The one of most weight that asks for something: what we hold is good to know and no task.
     *
     * @param list<Finding> $findings as ordered
     */
    public static function leading(array $findings): ?Finding
    {
        foreach ($findings as $finding) {
            if ($finding->code !== Market::SHARE) {
                return $finding;
            }
        }

        return $findings[0] ?? null;
    }

    /**
     * What can still be won comes first. Each names its leading keywords that none before it names.
     *
     * @param iterable<?Finding>                    $findings
     * @param \Closure(Finding, int): list<string> $leading the keywords of its rows that matter most, at most so many
     *
     * @return list<Finding> by worth, equal ones as they came, unknown ones after them; what the data lack comes last
     */
    public static function choose(iterable $findings, \Closure $leading): array
    {
        $all = array_values(array_filter([...$findings], static fn(?Finding $one): bool => $one !== null));
        $lacks = array_values(array_filter($all, static fn(Finding $one): bool => $one->isLack()));
        $room = self::MOST - min(\count($lacks), self::FEWEST_LACKS);
        $told = $named = [];
        foreach (\array_slice(self::ranked($all), 0, $room) as $finding) {
            $keywords = $finding->show === null
                ? []
                : \array_slice(array_values(array_diff($leading($finding, self::NAMED + \count($named)), $named)), 0, self::NAMED);
            $told[] = $finding->naming($keywords);
            $named = [...$named, ...$keywords];
        }

        return [...$told, ...\array_slice($lacks, 0, self::MOST - \count($told))];
    }

    /**
     * @param list<Finding> $all
     *
     * @return list<Finding> those that are worth a place, but for what the data lack
     */
    private static function ranked(array $all): array
    {
        $visits = array_column(array_filter($all, static fn(Finding $one): bool => $one->code === Market::SHARE), 'worth')[0] ?? 0.0;
        $known = array_values(
            array_filter(
                $all,
                static fn(Finding $one): bool => ! $one->isLack() && ($one->worth === null || $one->worth >= self::LEAST * $visits),
            ),
        );
        usort($known, static fn(Finding $one, Finding $other): int => self::winnable($other) <=> self::winnable($one));

        return $known;
    }

    /** What we hold already cannot be won, and comes after all that can. */
    private static function winnable(Finding $finding): float
    {
        return $finding->code === Market::SHARE ? -.5 : $finding->worth ?? -1.0;
    }
}
