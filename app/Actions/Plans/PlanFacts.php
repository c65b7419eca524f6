<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Actions\Comparisons\MetricsStream;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Database\Figures;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Plan\Effort;
use GreaterReach\Core\Plan\Season;
use GreaterReach\Core\Priority\Tactic;
use Illuminate\Support\Facades\DB;

/** What the comparison on show says about the keywords of a plan. */
final readonly class PlanFacts
{
    /**
     * @param array<string, \stdClass> $rows     keyword → comparison row
     * @param array<string, Metrics>   $metrics
     * @param array<string, string>    $setAside keyword → reason, '' where none was given
     */
    private function __construct(private array $rows, private array $metrics, private Effort $effort, private array $setAside)
    {
    }

    /** @param list<string> $keywords */
    public static function of(Study $study, ?Comparison $comparison, array $keywords): self
    {
        // What was compared from another side says nothing about ours.
        $isOurs = $comparison !== null && $comparison->domains[0]['id'] === $study->ownDomain()->id;
        $rows = ! $isOurs ? [] : $comparison->table()->query()->whereIn('keyword', $keywords)
            ->get(['keyword', 'topic', 'tactic', 'links_to_earn', 'own_position', 'own_url', 'volume', 'visits_now', 'gain', 'win_chance', 'expected_gain', 'target', 'intent'])->keyBy('keyword')->all();

        $setAside = DB::table('decisions')->where('study_id', $study->id)->where('mark', 'set aside')->whereIn('keyword', $keywords)
            ->selectRaw("keyword, coalesce(reason, '') AS reason")->pluck('reason', 'keyword')->all();

        return new self($rows, MetricsStream::known($study, $keywords), new Effort($study->rulebook()), $setAside);
    }

    public function row(string $keyword): ?\stdClass
    {
        return $this->rows[$keyword] ?? null;
    }

    public function season(string $keyword): Season
    {
        return Season::of($this->metrics[$keyword] ?? Metrics::unknown());
    }

    /** @return ?array{reason: string} null where nobody set the keyword aside */
    public function setAside(string $keyword): ?array
    {
        return isset($this->setAside[$keyword]) ? ['reason' => $this->setAside[$keyword]] : null;
    }

    public function effort(): Effort
    {
        return $this->effort;
    }

    /** Visits a month when it is won; 0 while nothing is known. */
    public function gain(string $keyword): float
    {
        return Figures::float($this->rows[$keyword]->gain ?? null) ?? 0.0;
    }

    /** 0…1; 0 while nothing is known, which is told beside it. */
    public function winChance(string $keyword): float
    {
        return Figures::float($this->rows[$keyword]->win_chance ?? null) ?? 0.0;
    }

    /** The tactic without the links that may stand beside it. */
    public static function tactic(string $label): Tactic
    {
        return Tactic::from(str_replace(' + links', '', $label));
    }
}
