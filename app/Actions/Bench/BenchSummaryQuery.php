<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Comparison;
use App\Support\Database\Figures;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\LongList;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\FitGate;
use Illuminate\Support\Collection;

/** Counts beside the bench: how many rows, of which standing, which combinations, their sums, and what brands hide. */
final readonly class BenchSummaryQuery
{
    /** Clauses that one of the counts leaves out, so that its picture shows what else there is. */
    private const LEFT_OUT = ['brands', 'standing', 'combination'];

    public function __construct(private ClauseCountsQuery $steps)
    {
    }

    /** @return array<string, mixed> */
    public function execute(Comparison $comparison, Sentence $sentence, bool $isStepwise = false): array
    {
        $rows = new ComparisonRows($comparison);
        $cells = self::cells($rows, $sentence);
        $shown = $cells->where('fits_brands', true)->where('fits_standing', true)->where('fits_combination', true);
        $count = static fn(Collection $cells): int => (int) Figures::int($cells->sum('keywords'));
        $keywords = $count($shown);

        return [
            'keywords' => $keywords,
            'of' => $comparison->keywords(),
            'volume' => self::sum($shown, 'volume'),
            'visits_now' => self::sum($shown, 'visits_now'),
            'gain' => self::sum($shown, 'gain'),
            'hidden_brands' => $count($cells->where('fits_standing', true)->where('fits_combination', true)) - $keywords,
            'standings' => (object) $cells
                ->where('fits_brands', true)
                ->where('fits_combination', true)
                ->groupBy('standing')
                ->map($count)
                ->all(),
            'overlap' => self::overlap(
                $cells
                    ->where('fits_brands', true)
                    ->where('fits_standing', true)
                    ->where('presence', '>', 0)
                    ->groupBy('presence')
                    ->map($count),
            ),
            'steps' => $isStepwise || $keywords === 0
                ? $this->steps->execute($comparison, $sentence, LongList::Compare, FitGate::open())
                : [],
        ];
    }

    /**
     * One reading of the rows for all counts: those that the rest of the sentence lets through, by standing, combination
     * and whether the clauses about brands, standing and combination hold, each of which one of the counts leaves out.
     *
     * @return Collection<int, \stdClass>
     */
    private static function cells(ComparisonRows $rows, Sentence $sentence): Collection
    {
        $query = $rows->query(
            array_reduce(self::LEFT_OUT, static fn(Sentence $rest, string $name): Sentence => $rest->without($name), $sentence),
        );
        $query->select('standing', 'presence');
        foreach (self::LEFT_OUT as $name) {
            $fits = $rows->fits($sentence->only($name), 'fits_'.$name);
            $query->selectRaw($fits->sql, $fits->bindings);
        }

        return $query->selectRaw('count(*) AS keywords, sum(volume)::bigint AS volume, sum(visits_now) AS visits_now, sum(gain) AS gain')
            ->groupByRaw('1, 2, 3, 4, 5')->orderBy('presence')->get();
    }

    /**
     * @param Collection<int, \stdClass> $cells
     *
     * @return int|float|null null where none is known
     */
    private static function sum(Collection $cells, string $figure): int|float|null
    {
        $known = $cells->pluck($figure)->filter(static fn(mixed $value): bool => $value !== null);
        if ($known->isEmpty()) {
            return null;
        }
        $sum = $known->sum();

        return \is_int($sum) ? $sum : Figures::float($sum);
    }

    /**
     * @param Collection<array-key, int> $counts combination → keywords, by combination
     *
     * @return list<array{combination: int, keywords: int}> the most frequent first
     */
    private static function overlap(Collection $counts): array
    {
        return array_values(
            $counts
                ->map(
                    static fn(int $keywords, int|string $combination): array => [
                        'combination' => (int) $combination,
                        'keywords' => $keywords,
                    ],
                )
                ->sortByDesc('keywords')
                ->all(),
        );
    }
}
