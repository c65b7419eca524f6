<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Actions\Bench\MovementQuery;
use App\Models\Comparison;
use App\Models\Snapshot;
use App\Models\Study;
use App\Support\Release;
use App\Support\Rows\ComparisonRows;
use App\Support\Sentence\Sentence;
use App\Support\StudyState;
use GreaterReach\Core\Comparison\Movement;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/**
 * What is different since the snapshot before: our movement, gaps that opened and closed, and what waits for a decision.
 *
 * @phpstan-import-type Movements from MovementQuery
 * @phpstan-import-type MovedRow from MovementQuery
 *
 * @phpstan-type GapRow object{keyword: string, volume: ?int, own_position: ?int, best_position: ?int, best_competitor: ?int,
 *     is_opened: bool, is_closed: bool, opened: int, closed: int, undecided: int}
 */
final readonly class ChangesSinceQuery
{
    private const DAY = 86_400;
    private const SHOWN = 8;
    private const OPENED = 'gaps=opened;brands=hide;mark=kept';
    private const CLOSED = 'gaps=closed';
    private const UNDECIDED = 'gaps=opened;brands=hide;mark=open';

    public function __construct(private MovementQuery $movement)
    {
    }

    /**
     * @return ?array{from: string, to: string, moved: array<string, int>, slipped: list<array<string, mixed>>,
     *     opened: array{keywords: int, first: list<array<string, mixed>>}, closed: array{keywords: int, first: list<array<string,
     *     mixed>>}, undecided: int} null while there is only one snapshot of ours
     */
    public function execute(Study $study, Comparison $comparison): ?array
    {
        $moved = $this->moved($study);
        if ($moved['from'] === null || $moved['to'] === null) {
            return null;
        }
        $gaps = self::gaps($comparison);

        return [
            'from' => $moved['from'],
            'to' => $moved['to'],
            'moved' => $moved['counts'],
            'slipped' => array_map(self::slipped(...), \array_slice($moved['rows'], 0, self::SHOWN)),
            'opened' => self::told($comparison, $gaps, 'opened'),
            'closed' => self::told($comparison, $gaps, 'closed'),
            'undecided' => $gaps[0]->undecided ?? 0,
        ];
    }

    /**
     * @param MovedRow $row all of which slipped
     *
     * @return array{keyword: string, before: ?int, after: ?int, volume: ?int}
     */
    private static function slipped(array $row): array
    {
        return ['keyword' => $row['keyword'], 'before' => $row['before'], 'after' => $row['after'], 'volume' => $row['volume']];
    }

    /** @return Movements of our own, which are the same whatever is decided in the meantime */
    private function moved(Study $study): array
    {
        $key = implode(' ', ['moved', Release::stamp(), StudyState::besideDecisions($study->id), (int) $study->comparison_id]);

        /** @var Movements */
        return Cache::remember(
            $key,
            self::DAY,
            fn(): array => $this->movement->execute($study, $study->ownDomain(), Snapshot::ORGANIC, null, null, Movement::Slipped),
        );
    }

    /**
     * In one reading of the rows: those first told of the gaps that opened and of those that closed, beside how many there are of each.
     *
     * @return list<GapRow> most volume first
     */
    private static function gaps(Comparison $comparison): array
    {
        $rows = $comparison->table()->query()->select('keyword', 'volume', 'own_position', 'best_position', 'best_competitor');
        foreach (['opened' => self::OPENED, 'closed' => self::CLOSED, 'undecided' => self::UNDECIDED] as $name => $sentence) {
            $fits = (new ComparisonRows($comparison))->fits(Sentence::parse($sentence), "is_{$name}");
            $rows->selectRaw($fits->sql, $fits->bindings);
        }
        $counted = DB::query()->fromSub($rows->offset(0), 'rows')->whereRaw('is_opened OR is_closed OR is_undecided')
            ->selectRaw('*, count(*) FILTER (WHERE is_opened) OVER () AS opened, count(*) FILTER (WHERE is_closed) OVER () AS closed')
            ->selectRaw('count(*) FILTER (WHERE is_undecided) OVER () AS undecided')
            ->selectRaw('row_number() OVER (PARTITION BY is_opened, is_closed ORDER BY volume DESC NULLS LAST, keyword) AS place');

        /** @var list<GapRow> */
        return DB::query()->fromSub($counted, 'counted')->where('place', '<=', self::SHOWN)->orderBy('place')->get()->all();
    }

    /**
     * @param list<GapRow>     $gaps
     * @param 'opened'|'closed' $change
     *
     * @return array{keywords: int, first: list<array<string, mixed>>}
     */
    private static function told(Comparison $comparison, array $gaps, string $change): array
    {
        $names = array_column($comparison->domains, 'entry');
        $first = array_filter($gaps, static fn(object $row): bool => $change === 'opened' ? $row->is_opened : $row->is_closed);

        return [
            'keywords' => $gaps[0]->{$change} ?? 0,
            'first' => array_map(
                static fn(object $row): array => [
                    'keyword' => $row->keyword,
                    'volume' => $row->volume,
                    'own_position' => $row->own_position,
                    'best_position' => $row->best_position,
                    'best' => $row->best_competitor === null ? null : $names[$row->best_competitor] ?? null,
                ],
                array_values($first),
            ),
        ];
    }
}
