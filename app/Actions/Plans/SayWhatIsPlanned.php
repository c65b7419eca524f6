<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use GreaterReach\Core\Clicks\FeatureClicks;
use GreaterReach\Core\Plan\Band;
use GreaterReach\Core\Plan\ForecastItem;
use GreaterReach\Core\Plan\Month;
use GreaterReach\Core\Plan\Said;
use GreaterReach\Core\Plan\SaidKeyword;
use GreaterReach\Core\Plan\Season;
use GreaterReach\Core\Priority\Models;

/** Says what a page promises when it is put on the roadmap, in figures that are then kept with it. */
final readonly class SayWhatIsPlanned
{
    /** Steps of the distribution of what it gains that are kept. */
    private const STEPS = 100;

    private FeatureClicks $featureClicks;

    public function __construct(private Study $study, private Models $models)
    {
        $this->featureClicks = $study->rulebook()->weighing()->featureClicks;
    }

    /**
     * @param string $name of the item, by which it draws
     * @param int    $ramp of its tactic, in months
     */
    public function of(string $name, ItemFacts $facts, int $ramp): ?Said
    {
        [$weighed, $lead] = [$facts->weighed, $facts->lead()];
        if ($weighed === null || $lead === null) {
            return null;
        }
        $gains = $facts->gains();

        return new Said(
            Month::parse(now('UTC')->format('Y-m')),
            $lead->keyword,
            $this->reach($lead),
            $weighed->lead->winChance,
            $weighed->expectedGain,
            $weighed->gain,
            $lead->ownPosition,
            $weighed->lead->target,
            $facts->effect(),
            $ramp,
            $gains->inSteps(self::STEPS),
            $this->band(new ForecastItem($name, $gains, $facts->effect(), Season::steady(), Month::parse('2000-01'), 1)),
            $facts->season(),
            $this->models->curve,
            array_map($this->keyword(...), $facts->open),
        );
    }

    private function reach(WeighedRow $lead): ?float
    {
        return $lead->difficulty === null || $lead->target === null
            ? null
            : $this->models->positions->chances($lead->difficulty, $lead->heldGround())->reach($lead->target, $lead->ownPosition);
    }

    /** In a mean month in which it pays in full. */
    private function band(ForecastItem $item): Band
    {
        return Promises::forecast($this->study)->bands([$item], [$item->done->plus(1)])[0];
    }

    private function keyword(WeighedRow $row): SaidKeyword
    {
        $left = $this->featureClicks->shareLeft(FeatureClicks::read((string) $row->features));

        return new SaidKeyword($row->keyword, $row->ownPosition, $row->volume === null ? null : $row->volume * $left, $row->visitsNow);
    }
}
