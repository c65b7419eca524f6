<?php

declare(strict_types=1);

namespace App\Support\Sentence;

/**
 * The movement of any domain, and gaps that opened or closed, as SQL over stored positions. The rules are `Movement` and
 * `Standing` of the core; a test holds the two together on random data.
 */
final class MovementSql
{
    /** A row for each domain, with its place before and now: what is said of all of them is read several times as fast from these. */
    public const EACH_DOMAIN = 'unnest(positions) AS place, unnest(previous) AS before';

    /** Of such a row: it climbed, entered, slipped or left. */
    public const HAS_MOVED = 'place IS DISTINCT FROM before';

    /** Of such a row that has moved: it climbed or entered. */
    public const HAS_GAINED = '(before IS NULL OR place < before) IS TRUE';

    /** @param int $domain 0 is ours */
    public static function movement(int $domain): string
    {
        $place = $domain + 1;

        return <<<SQL
            CASE WHEN previous[{$place}] IS NULL AND positions[{$place}] IS NULL THEN NULL
                WHEN previous[{$place}] IS NULL THEN 'entered' WHEN positions[{$place}] IS NULL THEN 'left'
                WHEN positions[{$place}] < previous[{$place}] THEN 'climbed'
                    WHEN positions[{$place}] > previous[{$place}] THEN 'slipped' ELSE 'steady' END
            SQL;
    }

    /** @param int $competitors how many the comparison has */
    public static function gap(string $array, int $competitors): string
    {
        $others = array_map(
            static fn(int $place): string => "{$array}[{$place}] IS NOT NULL",
            $competitors === 0 ? [] : range(2, $competitors + 1),
        );

        return "({$array}[1] IS NULL AND (".implode(' OR ', $others === [] ? ['false'] : $others).'))';
    }

    public static function gapChange(int $competitors): string
    {
        $now = self::gap('positions', $competitors);
        $before = self::gap('previous', $competitors);

        return "CASE WHEN {$now} AND NOT {$before} THEN 'opened' WHEN {$before} AND NOT {$now} THEN 'closed' END";
    }
}
