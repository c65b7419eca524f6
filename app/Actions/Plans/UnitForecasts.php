<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Actions\Comparisons\MetricsStream;
use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Plan\ForecastItem;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\PlaceGains;
use GreaterReach\Core\Plan\Placement;
use GreaterReach\Core\Plan\Season;

/** What the items of one plan after the other promise; each is looked up once. */
final class UnitForecasts
{
    /** @var array<string, array{PlaceGains, Season, int}> name → gains, season, ramp */
    private array $known = [];

    public function __construct(
        private readonly Study $study,
        private readonly PlanUnits $units,
        private readonly ForecastPages $promises,
        private readonly Month $start,
    ) {
    }

    /**
     * @param list<Placement> $placements
     *
     * @return list<ForecastItem>
     */
    public function of(array $placements): array
    {
        $this->lookUp(array_map(static fn(Placement $one): string => $one->item->name, $placements));

        return array_map(function (Placement $one): ForecastItem {
            [$gains, $season, $ramp] = $this->known[$one->item->name];

            return new ForecastItem($one->item->name, $gains, $season, $this->start->plus($one->ends), $ramp);
        }, $placements);
    }

    /** @param list<string> $names */
    private function lookUp(array $names): void
    {
        $new = array_values(array_diff($names, array_map(strval(...), array_keys($this->known))));
        if ($new === []) {
            return;
        }
        $units = $this->units->units($new);
        $years = self::years($this->study, $units);
        $effort = $this->study->rulebook()->effort();
        foreach ($units as $name => $unit) {
            $this->known[$name] = [
                $this->promises->gains($unit->open, $unit->tactic->tactic, $unit->gain),
                self::season($unit, $years),
                $effort->ramp($unit->tactic->tactic),
            ];
        }
    }

    /**
     * @param array<string, PlanUnit> $units
     *
     * @return array<string, Metrics> keyword → its monthly volumes, of all their open keywords
     */
    public static function years(Study $study, array $units): array
    {
        $keywords = [];
        foreach ($units as $unit) {
            array_push($keywords, ...array_map(static fn(WeighedRow $row): string => $row->keyword, $unit->open));
        }

        return MetricsStream::years($study, $keywords);
    }

    /** @param array<string, Metrics> $years of its open keywords, and perhaps of others */
    public static function season(PlanUnit $unit, array $years): Season
    {
        return Season::together(array_map(static fn(WeighedRow $row): Metrics => $years[$row->keyword], $unit->open));
    }
}
