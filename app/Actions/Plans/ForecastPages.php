<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Study;
use App\Support\Catalogue\WeighedRow;
use GreaterReach\Core\Clicks\FeatureClicks;
use GreaterReach\Core\Plan\DrawCache;
use GreaterReach\Core\Plan\Forecast;
use GreaterReach\Core\Plan\PlaceGains;
use GreaterReach\Core\Plan\WorkedKeyword;
use GreaterReach\Core\Priority\Models;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Winning\Effects;
use GreaterReach\Core\Winning\PlaceChances;

/** What work on weighed keywords can bring, by the models of the comparison that they were weighed in and by the study's rulebook. */
final readonly class ForecastPages
{
    private FeatureClicks $featureClicks;
    public float $movingShare;
    public float $titleSuccess;

    public function __construct(Study $study, public Models $models)
    {
        $settings = $study->rulebook()->weighing();
        $this->featureClicks = $settings->featureClicks;
        $this->movingShare = $settings->movingShare;
        $this->titleSuccess = $settings->titleSuccess;
    }

    public static function forecast(Study $study, ?DrawCache $kept = null): Forecast
    {
        $rulebook = $study->rulebook();

        return new Forecast(
            $rulebook->int('forecast_draws'),
            $rulebook->float('forecast_sigma'),
            $rulebook->int('seed'),
            self::effects($study),
            $kept,
        );
    }

    /** Of the comparison on show; nothing but the priors while there is none. */
    public static function effects(Study $study): Effects
    {
        return $study->comparison?->models()->effects ?? Effects::learn(0, 0.0);
    }

    /**
     * @param list<WeighedRow> $rows of one page; those of unknown difficulty or volume promise nothing
     * @param ?float           $gain of a title test, visits a month
     */
    public function gains(array $rows, Tactic $tactic, ?float $gain): PlaceGains
    {
        if ($tactic === Tactic::TestTitle) {
            return PlaceGains::title($gain ?? 0.0, $this->titleSuccess);
        }
        $keywords = [];
        foreach ($rows as $row) {
            $chances = $this->chances($row);
            $searches = $this->searches($row);
            if ($chances !== null && $searches !== null) {
                $keywords[] = new WorkedKeyword($row->pageKind(), $chances, $row->ownPosition, $searches);
            }
        }

        return PlaceGains::of($keywords, $this->models->curve, $this->movingShare);
    }

    public function chances(WeighedRow $row): ?PlaceChances
    {
        return $row->difficulty === null
            ? null
            : $this->models->positions->chances($row->difficulty, $row->heldGround(), $row->volume);
    }

    /** Searches a month that can be won; null unknown. */
    public function searches(WeighedRow $row): ?float
    {
        return $row->volume === null ? null : $row->volume * $this->featureClicks->shareLeft(FeatureClicks::read((string) $row->features));
    }
}
