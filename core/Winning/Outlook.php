<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Results\PageOne;
use GreaterReach\Core\Results\Places;

/**
 * What can be expected of working on a keyword: the chance to reach its target, and the visits that all places it may come to would bring.
 */
final readonly class Outlook
{
    /** @var list<float> place → sum of the rates of all places up to it */
    private array $rates;

    public function __construct(private PositionModel $model, private CtrCurve $curve, private Effect $effect)
    {
        $sum = 0.0;
        $rates = [0.0];
        for ($place = 1; $place <= Places::WORST; ++$place) {
            $sum += $curve->at($place);
            $rates[] = $sum;
        }
        $this->rates = $rates;
    }

    /**
     * @param ?int   $position ours, null when absent
     * @param ?float $searches a month that can be won: the volume, less what the features of the results page take
     */
    public function of(?int $position, int $target, ?float $difficulty, Ground $ground, ?float $searches): Prospect
    {
        if ($difficulty === null) {
            return new Prospect(null, $position === 1 ? 1.0 : null, $position === 1 ? 0.0 : null);
        }
        $places = $this->model->chances($difficulty, $ground);
        $towards = $places->reach($target, $position);
        $reach = $position === null ? $places->upTo(PageOne::LAST) : $towards;
        if ($position === 1) {
            return new Prospect($reach, 1.0, 0.0);
        }

        return new Prospect(
            $reach,
            $this->effect->share * $towards,
            $searches === null && $places->noWorseThan($position) > 0.0
                ? null
                : $this->effect->share * (float) $searches * $this->ratesWon($places, $position),
        );
    }

    /** Σ P(t | now) · (ctr(t) − ctr(p0)) over the places up to ours, all of them when absent. */
    private function ratesWon(PlaceChances $places, ?int $position): float
    {
        $now = $position === null ? 0.0 : $this->curve->at($position);
        $last = $position ?? Places::WORST;
        $sum = 0.0;
        $before = 0;
        foreach ($places->perPlace($position) as $class => $chance) {
            $end = min(PlaceClass::BOUNDS[$class], $last);
            if ($end <= $before) {
                break;
            }
            $sum += $chance * ($this->rates[$end] - $this->rates[$before] - ($end - $before) * $now);
            $before = $end;
        }

        return max(0.0, $sum);
    }
}
