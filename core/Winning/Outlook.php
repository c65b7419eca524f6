<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Results\PageOne;

/**
 * What can be expected of working on a keyword: the chance to reach its target, and the visits that all places it may come to would bring.
 */
final readonly class Outlook
{
    /** @var list<float> place → its rate, from place 0 on */
    private array $rates;

    /** @var list<float> place → sum of the rates up to it */
    private array $sums;

    private float $newShift;
    private float $existingShift;

    public function __construct(private PositionModel $model, CtrCurve $curve, private Effects $effects, private float $movingShare)
    {
        $this->rates = [0.0, ...$curve->rates()];
        $sums = [];
        foreach ($this->rates as $place => $rate) {
            $sums[] = ($sums[$place - 1] ?? 0.0) + $rate;
        }
        $this->sums = $sums;
        $this->newShift = $effects->new->mean();
        $this->existingShift = $effects->existing->mean();
    }

    /**
     * @param ?int   $position ours, null when absent
     * @param ?int   $volume   searches a month
     * @param ?float $searches a month that can be won: the volume, less what the features of the results page take
     */
    public function of(
        PageKind $kind,
        ?int $position,
        int $target,
        ?float $difficulty,
        Ground $ground,
        ?int $volume,
        ?float $searches,
    ): Prospect {
        if ($difficulty === null) {
            return new Prospect(null, $position === 1 ? 1.0 : null, $position === 1 ? 0.0 : null);
        }
        $chances = $this->model->chances($difficulty, $ground, $volume);
        $reach = $position === null ? $this->reachFromNothing($kind, $difficulty, $ground, $volume) : $chances->reach($target, $position);
        if ($position === 1) {
            return new Prospect($reach, 1.0, 0.0);
        }
        $after = $this->after($kind, $chances, $position);

        $expected = $searches === null ? null : $searches * $after->ratesWon($this->rates, $this->sums);

        return new Prospect($reach, $after->upTo($target), $expected);
    }

    public function after(PageKind $kind, PlaceChances $chances, ?int $position): PlacesAfterWork
    {
        return PlacesAfterWork::of(
            $kind,
            $chances,
            $position,
            $this->movingShare,
            $kind === PageKind::New ? $this->newShift : $this->existingShift,
        );
    }

    /** Page one; a new page as new pages of the market do. */
    private function reachFromNothing(PageKind $kind, float $difficulty, Ground $ground, ?int $volume): float
    {
        $shift = $kind === PageKind::New ? $this->effects->marketShift : 0.0;

        return $this->model->chances($difficulty, $ground, $volume, $shift)->upTo(PageOne::LAST);
    }
}
