<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use GreaterReach\Core\Clicks\FeatureClicks;
use GreaterReach\Core\Plan\Forecast;
use GreaterReach\Core\Plan\KeptDraws;
use GreaterReach\Core\Plan\PlaceGains;
use GreaterReach\Core\Priority\Models;

/** What work on weighed keywords promises, by the models of the comparison that they were weighed in and by the study's rulebook. */
final readonly class Promises
{
    private FeatureClicks $featureClicks;

    public function __construct(Study $study, private Models $models)
    {
        $this->featureClicks = $study->rulebook()->weighing()->featureClicks;
    }

    public static function forecast(Study $study, ?KeptDraws $kept = null): Forecast
    {
        $rulebook = $study->rulebook();

        return new Forecast($rulebook->int('forecast_draws'), $rulebook->float('forecast_sigma'), $rulebook->int('seed'), $kept);
    }

    /** Chance that a page moves at all when worked on. */
    public function effect(): float
    {
        return $this->models->effect->share;
    }

    /** @param list<WeighedRow> $rows of one page; those of unknown difficulty or volume promise nothing */
    public function gains(array $rows): PlaceGains
    {
        $keywords = [];
        foreach ($rows as $row) {
            if ($row->difficulty !== null && $row->volume !== null) {
                $keywords[] = [
                    $this->models->positions->chances($row->difficulty, $row->heldGround()),
                    $row->ownPosition,
                    $row->volume * $this->featureClicks->shareLeft(FeatureClicks::read((string) $row->features)),
                ];
            }
        }

        return PlaceGains::of($keywords, $this->models->curve);
    }
}
