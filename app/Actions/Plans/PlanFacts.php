<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Actions\Comparisons\MetricsStream;
use App\Models\Comparison;
use App\Models\PlanItem;
use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use App\Support\Rows\ComparisonRows;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Plan\Effort;
use GreaterReach\Core\Plan\PlaceGains;
use GreaterReach\Core\Plan\Season;
use GreaterReach\Core\Priority\Models;
use Illuminate\Support\Facades\DB;

/**
 * What the comparison on show says about the keywords of a plan.
 *
 * @phpstan-import-type Said from PlanItem
 */
final readonly class PlanFacts
{
    /**
     * @param array<string, WeighedRow> $rows    keyword → its row
     * @param array<string, Metrics>   $metrics
     * @param array<string, string>    $setAside keyword → reason, '' where none was given
     */
    private function __construct(
        private array $rows,
        private array $metrics,
        private Effort $effort,
        private array $setAside,
        private ?Models $models,
        private ?Promises $promises,
    ) {
    }

    /** @param list<string> $keywords */
    public static function of(Study $study, ?Comparison $comparison, array $keywords): self
    {
        // What was compared from another side says nothing about ours.
        $isOurs = $comparison !== null && $comparison->domains[0]['id'] === $study->ownDomain()->id;
        $rows = !$isOurs ? [] : ComparisonRows::read($comparison->table()->query()->whereIn('keyword', $keywords));

        /** @var array<string, string> $setAside */
        $setAside = DB::table('decisions')
            ->where('study_id', $study->id)
            ->where('mark', 'set aside')
            ->whereIn('keyword', $keywords)
            ->selectRaw("keyword, coalesce(reason, '') AS reason")
            ->pluck('reason', 'keyword')
            ->all();

        return new self(
            array_column($rows, null, 'keyword'),
            MetricsStream::known($study, $keywords),
            $study->rulebook()->effort(),
            $setAside,
            $isOurs ? $comparison->models() : null,
            $isOurs && $comparison->models() !== null ? new Promises($study, $comparison->models()) : null,
        );
    }

    public function row(string $keyword): ?WeighedRow
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

    /** Visits a month that the target brings; 0 while nothing is known. */
    public function gain(string $keyword): float
    {
        return $this->rows[$keyword]->gain ?? 0.0;
    }

    /** 0…1; 0 while nothing is known, which is told beside it. */
    public function winChance(string $keyword): float
    {
        return $this->rows[$keyword]->winChance ?? 0.0;
    }

    /** What work on a keyword promises; nothing while nothing is known. */
    public function gains(string $keyword): PlaceGains
    {
        $row = $this->rows[$keyword] ?? null;

        return $row === null || $this->promises === null ? PlaceGains::allOrNothing(0.0, 0.0) : $this->promises->gains([$row]);
    }

    /** Chance that a page moves at all when worked on. */
    public function effect(): float
    {
        return $this->models->effect->share ?? 0.0;
    }

    /** @return Said what is said of a keyword now, to be held against what comes of it */
    public function said(string $keyword): array
    {
        $row = $this->rows[$keyword] ?? null;

        return [
            'reach' => $row === null || $row->difficulty === null || $row->target === null || $this->models === null
                ? null
                : $this->models->positions->chances($row->difficulty, $row->heldGround())->reach($row->target, $row->ownPosition),
            'win_chance' => $row?->winChance,
            'expected_gain' => $row?->expectedGain,
            'gain' => $row?->gain,
            'position' => $row?->ownPosition,
            ...($row?->target === null ? [] : ['target' => $row->target]),
        ];
    }
}
