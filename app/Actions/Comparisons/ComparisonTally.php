<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Models\ComparisonSummary;
use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Clicks\ShareOfClicks;
use GreaterReach\Core\Comparison\ComparisonRow;
use GreaterReach\Core\Comparison\Overlap;
use GreaterReach\Core\Comparison\Standing;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Results\PageOne;

/** Counts along while the rows of a comparison go by, for the summary that is kept with it. */
final class ComparisonTally
{
    private readonly Overlap $overlap;
    private readonly ShareOfClicks $shares;
    private int $keywords = 0;

    /** @var array<string, int> */
    private array $standings = [];

    /** @var array<int, int> */
    private array $firstPage;

    /** @var array<int, int> */
    private array $ranking;

    /** @var array<int, float> visits × CPC where both are known */
    private array $value;

    public function __construct(int $domains, private readonly CtrCurve $curve)
    {
        $this->overlap = new Overlap($domains);
        $this->shares = new ShareOfClicks($domains, $curve);
        $this->value = array_fill(0, $domains, 0.0);
        $this->firstPage = $this->ranking = array_fill(0, $domains, 0);
        foreach (Standing::cases() as $standing) {
            $this->standings[$standing->value] = 0;
        }
    }

    /** @param float $left share of the clicks that features of the results page leave, 0…1 */
    public function add(ComparisonRow $row, Metrics $metrics, float $left = 1.0): void
    {
        ++$this->keywords;
        ++$this->standings[$row->standing->value];
        $this->overlap->add($row->presence);
        $this->shares->add($metrics->volume, $row->positions, $left);
        foreach ($row->positions as $domain => $position) {
            if ($position !== null) {
                ++$this->ranking[$domain];
                $this->firstPage[$domain] += PageOne::holds($position) ? 1 : 0;
                $this->value[$domain] += ($metrics->volume ?? 0) * $left * $this->curve->at($position) * ($metrics->cpc ?? 0.0);
            }
        }
    }

    public function summary(): ComparisonSummary
    {
        $overlap = [];
        foreach ($this->overlap->counts() as $mask => $count) {
            $overlap[] = ['combination' => $mask, 'keywords' => $count];
        }

        return new ComparisonSummary(
            $this->keywords,
            $this->standings,
            $overlap,
            $this->overlap->similarities(),
            $this->shares->shares(),
            $this->shares->visits(),
            array_values($this->value),
            array_values($this->ranking),
            array_values($this->firstPage),
        );
    }
}
