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
use Illuminate\Database\Query\Builder;

/** Counts the rows that a sentence shows, on the stage where it is shown. */
final readonly class CountedRows
{
    public function __construct(private Study $study, private Comparison $comparison)
    {
    }

    /** As Compare shows them. */
    public function compared(string $show): Counted
    {
        return self::counted($show, $this->rows($show));
    }

    /** As Weigh shows them. */
    public function weighed(string $show): Counted
    {
        return self::counted($show, $this->listed($show));
    }

    public function rows(string $show): Builder
    {
        return (new ComparisonRows($this->comparison))->query(Sentence::parse($show));
    }

    public function listed(string $show): Builder
    {
        return ListedRows::of($this->comparison, Sentence::parse($show), $this->study->rulebook()->fitGate());
    }

    private static function counted(string $show, Builder $rows): Counted
    {
        /** @var object{keywords: int, expected: float|string|null} $row */
        $row = $rows->selectRaw('count(*) AS keywords, sum(expected_gain) AS expected')->sole();

        return new Counted($show, $row->keywords, Figures::float($row->expected));
    }
}
