<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Actions\Bench\ReadMovement;
use App\Models\Comparison;
use App\Models\Snapshot;
use App\Models\Study;
use App\Support\Rows\ComparisonRows;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Comparison\Movement;
use Illuminate\Support\Collection;

/**
 * What is different since the snapshot before: our movement, gaps that opened and closed, and what waits for a decision.
 *
 * @phpstan-type GapRow object{keyword: string, volume: ?int, own_position: ?int, best_position: ?int, best_competitor: ?int}
 */
final readonly class ReadSince
{
    private const SHOWN = 8;
    private const OPENED = 'gaps=opened;brands=hide;mark=kept';
    private const CLOSED = 'gaps=closed';
    private const UNDECIDED = 'gaps=opened;brands=hide;mark=open';

    public function __construct(private ReadMovement $movement)
    {
    }

    /**
     * @return ?array{from: string, to: string, moved: array<string, int>, slipped: list<array<string, mixed>>,
     *     opened: array{keywords: int, first: list<array<string, mixed>>}, closed: array{keywords: int, first: list<array<string,
     *     mixed>>}, undecided: int} null while there is only one snapshot of ours
     */
    public function execute(Study $study, Comparison $comparison): ?array
    {
        $own = $study->ownDomain();
        $moved = $this->movement->execute($study, $own, Snapshot::ORGANIC, null, null, Movement::Slipped);
        if ($moved['from'] === null || $moved['to'] === null) {
            return null;
        }

        return [
            'from' => $moved['from'],
            'to' => $moved['to'],
            'moved' => $moved['counts'],
            'slipped' => \array_slice($moved['rows'], 0, self::SHOWN),
            'opened' => self::gaps($comparison, self::OPENED),
            'closed' => self::gaps($comparison, self::CLOSED),
            'undecided' => (new ComparisonRows($comparison))->query(Sentence::parse(self::UNDECIDED))->count(),
        ];
    }

    /** @return array{keywords: int, first: list<array<string, mixed>>} most volume first */
    private static function gaps(Comparison $comparison, string $sentence): array
    {
        $rows = (new ComparisonRows($comparison))->query(Sentence::parse($sentence));
        /** @var Collection<int, GapRow> $first */
        $first = $rows
            ->clone()
            ->orderByRaw('volume DESC NULLS LAST, keyword')
            ->limit(self::SHOWN)
            ->get(['keyword', 'volume', 'own_position', 'best_position', 'best_competitor']);
        $names = array_column($comparison->domains, 'entry');

        return [
            'keywords' => $rows->count(),
            'first' => array_map(
                static fn(object $row): array => [
                    'keyword' => $row->keyword,
                    'volume' => $row->volume,
                    'own_position' => $row->own_position,
                    'best_position' => $row->best_position,
                    'best' => $row->best_competitor === null ? null : $names[$row->best_competitor] ?? null,
                ],
                array_values($first->all()),
            ),
        ];
    }
}
