<?php

declare(strict_types=1);

namespace GreaterReach\Core\Findings;

/** Findings in a study, most worth first. */
final class Findings
{
    /** More than a minute can hold is not told. */
    public const MOST = 12;

    /** Of these, what the data lack may take so many where there is more to say. */
    private const FEWEST_LACKS = 3;

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
     * @param iterable<?Finding> $findings
     *
     * @return list<Finding> by worth, equal ones as they came, unknown ones after them; what the data lack comes last
     */
    public static function order(iterable $findings): array
    {
        $known = $lacks = [];
        foreach ($findings as $finding) {
            if ($finding === null) {
                continue;
            }
            if ($finding->isLack()) {
                $lacks[] = $finding;
            } else {
                $known[] = $finding;
            }
        }
        usort($known, static fn(Finding $one, Finding $other): int => ($other->worth ?? -1.0) <=> ($one->worth ?? -1.0));
        $room = self::MOST - min(\count($lacks), self::FEWEST_LACKS);
        $told = \array_slice($known, 0, $room);

        return [...$told, ...\array_slice($lacks, 0, self::MOST - \count($told))];
    }
}
