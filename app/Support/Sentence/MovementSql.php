<?php

declare(strict_types=1);

namespace App\Support\Sentence;

use App\Support\Database\Figures;

/**
 * The movement of any domain, and gaps that opened, closed or are gone, as SQL over stored positions. The rules are `Movement` and
 * `Standing` of the core; a test holds the two together on random data.
 */
final readonly class MovementSql
{
    /** A row for each domain, with its place before and now: what is said of all of them is read several times as fast from these. */
    public const EACH_DOMAIN = 'unnest(positions) AS place, unnest(previous) AS before';

    /** Of such a row that has moved: it climbed or entered. */
    public const HAS_GAINED = '(before IS NULL OR place < before) IS TRUE';

    /** @param float $noise share of the better position up to which a change is daily jitter */
    public function __construct(private float $noise)
    {
    }

    /** Of a row of EACH_DOMAIN: it climbed, entered, slipped or left. */
    public function hasMoved(): string
    {
        return "(place IS DISTINCT FROM before AND NOT coalesce({$this->isJitter('before', 'place')}, false))";
    }

    /** @param int $domain 0 is ours */
    public function movement(int $domain): string
    {
        return $this->between('previous['.($domain + 1).']', 'positions['.($domain + 1).']');
    }

    /** Of two positions, as SQL of each. */
    public function between(string $before, string $now): string
    {
        return <<<SQL
            CASE WHEN {$before} IS NULL AND {$now} IS NULL THEN NULL
                WHEN {$before} IS NULL THEN 'entered' WHEN {$now} IS NULL THEN 'left'
                WHEN {$this->isJitter($before, $now)} THEN 'steady'
                WHEN {$now} < {$before} THEN 'climbed' ELSE 'slipped' END
            SQL;
    }

    /** @param int $competitors how many the comparison has */
    public static function gap(string $array, int $competitors): string
    {
        return "({$array}[1] IS NULL AND ".self::someCompetitor($array, $competitors).')';
    }

    /** Opened: a new gap. Closed: a former gap where we rank now. Gone: a former gap where no compared domain ranks now. */
    public static function gapChange(int $competitors): string
    {
        $now = self::gap('positions', $competitors);
        $before = self::gap('previous', $competitors);

        return "CASE WHEN {$now} AND NOT {$before} THEN 'opened' WHEN {$before} AND positions[1] IS NOT NULL THEN 'closed' "
            ."WHEN {$before} AND NOT ".self::someCompetitor('positions', $competitors)." THEN 'gone' END";
    }

    private static function someCompetitor(string $array, int $competitors): string
    {
        $others = array_map(
            static fn(int $place): string => "{$array}[{$place}] IS NOT NULL",
            $competitors === 0 ? [] : range(2, $competitors + 1),
        );

        return '('.implode(' OR ', $others === [] ? ['false'] : $others).')';
    }

    private function isJitter(string $before, string $now): string
    {
        return "abs({$now} - {$before}) <= round((".Figures::exact($this->noise)."::float8 * least({$now}, {$before}))::numeric, 9)";
    }
}
