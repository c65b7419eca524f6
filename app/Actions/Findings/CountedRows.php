<?php

declare(strict_types=1);

namespace App\Actions\Findings;

use App\Models\Comparison;
use App\Models\Study;
use App\Support\Database\Figures;
use App\Support\Rows\ComparisonRows;
use App\Support\Rows\ListedRows;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Findings\Counted;
use GreaterReach\Core\Findings\Finding;
use GreaterReach\Core\Findings\Stage;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Counts the rows that sentences show, on the stage where each is shown: many of them in one reading of the rows. */
final readonly class CountedRows
{
    public function __construct(private Study $study, private Comparison $comparison)
    {
    }

    /**
     * As Compare shows them, and as Weigh does.
     *
     * @param array<string, string> $compared name → sentence
     * @param array<string, string> $weighed  name → sentence, under names of their own
     *
     * @return array<string, Counted> by name
     */
    public function all(array $compared, array $weighed = []): array
    {
        $shows = [...$compared, ...$weighed];
        $listed = [...array_fill_keys(array_keys($compared), ''), ...array_fill_keys(array_keys($weighed), ' AND listed')];
        $figures = [];
        foreach (array_keys($shows) as $number => $name) {
            $these = "FILTER (WHERE fits_{$number}{$listed[$name]})";
            $figures[] = "count(*) {$these} AS keywords_{$number}, sum(expected_gain) {$these} AS expected_{$number}";
        }
        $row = $figures === [] ? [] : (array) $this->fitting(array_values($shows))->selectRaw(implode(', ', $figures))->sole();
        $counted = [];
        foreach (array_keys($shows) as $number => $name) {
            $counted[$name] = new Counted(
                $shows[$name],
                Figures::int($row["keywords_{$number}"]) ?? 0,
                Figures::float($row["expected_{$number}"]),
            );
        }

        return $counted;
    }

    /**
     * All rows, with a column `fits_0`, `fits_1` … per sentence that says whether it shows them, and `listed` for those on Weigh's list.
     *
     * @param list<string> $shows
     */
    public function fitting(array $shows): Builder
    {
        $rows = $this->comparison->table()->query()->select(['expected_gain', 'positions'])
            ->selectRaw(ListedRows::condition($this->study->rulebook()->fitGate()).' AS listed');
        foreach ($shows as $number => $show) {
            $fits = (new ComparisonRows($this->comparison))->fits(Sentence::parse($show), "fits_{$number}");
            $rows->selectRaw($fits->sql, $fits->bindings);
        }

        // An offset keeps the database from writing each condition out wherever its column is used, and judging it so many times.
        return DB::query()->fromSub($rows->offset(0), 'rows');
    }

    /** @return list<string> keywords of a finding's rows, those first that would bring most */
    public function leading(Finding $finding, int $most): array
    {
        $rows = $this->rows((string) $finding->show);
        if ($finding->stage === Stage::Weigh) {
            $rows->whereRaw(ListedRows::condition($this->study->rulebook()->fitGate()));
        }

        $rows->orderByRaw('expected_gain DESC NULLS LAST, volume DESC NULLS LAST, keyword')->limit($most);
        /** @var list<string> $keywords */
        $keywords = $rows->pluck('keyword')->all();

        return $keywords;
    }

    /** As Compare shows them. */
    public function rows(string $show): Builder
    {
        return (new ComparisonRows($this->comparison))->query(Sentence::parse($show));
    }
}
