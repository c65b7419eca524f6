<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use GreaterReach\Core\Plan\Band;
use GreaterReach\Core\Plan\ForecastItem;
use GreaterReach\Core\Plan\ForecastKeyword;
use GreaterReach\Core\Plan\ItemForecast;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\Season;
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Priority\Tactic;

/** Records what is forecast for a page when it is put on the roadmap, in figures that are then kept with it. */
final readonly class RecordPlannedForecast
{
    private ForecastPages $promises;

    public function __construct(private Study $study, private Models $models)
    {
        $this->promises = new ForecastPages($study, $models);
    }

    /**
     * @param string $name   of the item, by which it draws
     * @param Tactic $tactic of the item
     * @param int    $ramp   of its tactic, in months
     */
    public function of(string $name, ItemFacts $facts, Tactic $tactic, int $ramp): ?ItemForecast
    {
        [$weighed, $lead] = [$facts->weighed, $facts->lead()];
        if ($weighed === null || $lead === null) {
            return null;
        }

        return new ItemForecast(
            Month::parse(now('UTC')->format('Y-m')),
            $lead->keyword,
            $lead->pageKind(),
            $weighed->work->winChance,
            $weighed->work->expectedGain,
            $weighed->work->gain,
            $lead->ownPosition,
            $weighed->work->target,
            $this->promises->movingShare,
            $tactic === Tactic::TestTitle ? $this->promises->titleSuccess : null,
            $ramp,
            $this->band(new ForecastItem($name, $facts->gains($tactic), Season::steady(), Month::parse('2000-01'), 1)),
            $facts->season(),
            $this->models->curve,
            array_map($this->keyword(...), $facts->open),
        );
    }

    /** In a mean month in which it pays in full. */
    private function band(ForecastItem $item): Band
    {
        return ForecastPages::forecast($this->study)->bands([$item], [$item->done->plus(1)])[0];
    }

    private function keyword(WeighedRow $row): ForecastKeyword
    {
        return new ForecastKeyword(
            $row->keyword,
            $row->ownPosition,
            $this->promises->searches($row),
            $row->visitsNow,
            $this->promises->chances($row),
        );
    }
}
