<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Exceptions\UserError;
use App\Models\Domain;
use App\Models\Study;
use App\Support\Database\NameOrder;
use App\Support\Rows\ListOrder;
use App\Support\Sentence\MovementSql;
use GreaterReach\Core\Comparison\Movement;
use Illuminate\Support\Facades\DB;

/**
 * What moved for one domain between any two of its snapshots: counts, and the keywords with most volume of each kind.
 *
 * @phpstan-type MovedRow array{keyword: string, before: ?int, after: ?int, volume: ?int, movement: string}
 * @phpstan-type Movements array{days: list<string>, from: ?string, to: ?string, counts: array<string, int>, rows: list<MovedRow>}
 */
final class MovementQuery
{
    private const SHOWN = 200;

    /**
     * @param ?string $from YYYY-MM-DD; null takes the snapshot before the other
     * @param ?string $to   YYYY-MM-DD; null takes the newest
     *
     * @return Movements
     *
     * @throws UserError when a day has no snapshot, or there is no such order
     */
    public function execute(
        Study $study,
        Domain $domain,
        string $channel,
        ?string $from,
        ?string $to,
        ?Movement $only,
        string $sort = '',
        bool $isDescending = true,
    ): array {
        $order = ListOrder::of(self::orders(), $sort, $isDescending)->sql('keyword');
        /** @var array<string, int> $days newest first */
        $days = DB::table('live_snapshots')
            ->where('domain_id', $domain->id)
            ->where('channel', $channel)
            ->orderByDesc('day')
            ->pluck('id', 'day')
            ->all();
        $names = array_keys($days);
        $later = $to ?? ($names[0] ?? null);
        $earlier = $from ?? (array_values(array_filter($names, static fn(string $day): bool => $day < (string) $later))[0] ?? null);
        foreach ([$later, $earlier] as $day) {
            if ($day !== null && !isset($days[$day])) {
                throw UserError::because('date', sprintf('%s has no snapshot of %s.', $domain->entry, $day));
            }
        }
        if ($later === null || $earlier === null) {
            return ['days' => $names, 'from' => $earlier, 'to' => $later, 'counts' => self::counted([]), 'rows' => []];
        }
        $moved = $this->moved($study, $days[$earlier], $days[$later]);
        /** @var list<object{movement: string, keywords: int}> $counts */
        $counts = DB::select("SELECT movement, count(*) AS keywords FROM ({$moved[0]}) m GROUP BY movement", $moved[1]);
        $filter = $only === null ? "movement <> 'steady'" : 'movement = ?';
        /** @var list<object> $rows */
        $rows = DB::select("SELECT * FROM ({$moved[0]}) m WHERE {$filter} ORDER BY {$order} LIMIT ".self::SHOWN, [
            ...$moved[1],
            ...$only === null ? [] : [$only->value],
        ]);

        return [
            'days' => $names,
            'from' => $earlier,
            'to' => $later,
            'counts' => self::counted(array_column($counts, 'keywords', 'movement')),
            'rows' => array_map(self::row(...), $rows),
        ];
    }

    /**
     * @param array<string, int> $counts of the movements that there are
     *
     * @return array<string, int> of every movement, also where nothing moved
     */
    private static function counted(array $counts): array
    {
        return array_replace(array_fill_keys(array_column(Movement::cases(), 'value'), 0), $counts);
    }

    /** @return array<string, string> */
    private static function orders(): array
    {
        return [
            'volume' => 'volume',
            'keyword' => 'keyword',
            'movement' => NameOrder::sql(Movement::cases(), 'movement'),
            'before' => 'before',
            'after' => 'after',
        ];
    }

    /** @return MovedRow */
    private static function row(object $row): array
    {
        /** @var MovedRow */
        return (array) $row;
    }

    /** @return array{string, list<int>} SQL and bindings: keyword, before, after, movement, volume */
    private function moved(Study $study, int $earlier, int $later): array
    {
        $volumes =
            $study->comparison === null
                ? '(SELECT NULL::text AS keyword, NULL::bigint AS volume)'
                : "(SELECT keyword, volume FROM {$study->comparison->table()->from()})";

        $movement = (new MovementSql($study->rulebook()->float('movement_noise')))->between('b.position', 'a.position');

        return [
            <<<SQL
                SELECT keyword, b.position AS before, a.position AS after, c.volume, {$movement} AS movement
                FROM (SELECT keyword, position FROM rankings WHERE study_id = ? AND snapshot_id = ? AND ordinal = 1) b
                FULL JOIN (SELECT keyword, position FROM rankings WHERE study_id = ? AND snapshot_id = ? AND ordinal = 1) a USING (keyword)
                LEFT JOIN {$volumes} c USING (keyword)
                SQL, [$study->id, $earlier, $study->id, $later]];
    }
}
