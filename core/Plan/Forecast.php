<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Statistics\Quantile;

/**
 * What a plan adds month by month, by seeded draws. In each an item moves with the effect's probability or not at all; if it does, one
 * number gives all its keywords their places. Its volume is lognormal with mean 1. All this is drawn once per item and draw, holds for all
 * months, and is the same for an item in whatever plan it stands.
 */
final class Forecast
{
    /** @var array<array-key, list<float>> item → what it gains in each draw, at a mean month and paying in full */
    private array $drawn = [];

    public function __construct(
        /** Draws, ≥ 1. */
        private readonly int $draws,
        /** Sigma of the logarithm of the volume, ≥ 0. */
        private readonly float $sigma,
        private readonly int $seed,
        private readonly ?KeptDraws $kept = null,
    ) {
    }

    /**
     * @param list<ForecastItem> $items
     * @param list<Month>        $months
     *
     * @return list<Band> one per month
     */
    public function bands(array $items, array $months): array
    {
        $this->recall($items, $months);
        $means = $this->means($items, $months);
        $bands = [];
        foreach ($months as $number => $month) {
            $drawn = $this->totals($items, $month);
            sort($drawn);
            $bands[] = new Band(
                Quantile::ofSorted($drawn, 0.1),
                Quantile::ofSorted($drawn, 0.5),
                Quantile::ofSorted($drawn, 0.9),
                $means[$number],
            );
        }

        return $bands;
    }

    /**
     * What all items add together in a month, in each draw.
     *
     * @param list<ForecastItem> $items
     *
     * @return list<float>
     */
    public function totals(array $items, Month $month): array
    {
        $totals = array_fill(0, $this->draws, 0.0);
        foreach ($items as $item) {
            $share = $item->shareIn($month);
            foreach ($item->paysIn($month) ? $this->drawn($item) : [] as $draw => $gain) {
                $totals[$draw] += $share * $gain;
            }
        }

        return array_values($totals);
    }

    /**
     * The exact means over all draws there could be: Σ expected gain · season · ramp.
     *
     * @param list<ForecastItem> $items
     * @param list<Month>        $months
     *
     * @return list<float> one per month
     */
    public function means(array $items, array $months): array
    {
        $expected = array_map(static fn(ForecastItem $item): float => $item->expectedGain(), $items);

        return array_map(static function (Month $month) use ($items, $expected): float {
            $sum = 0.0;
            foreach ($items as $number => $item) {
                $sum += $expected[$number] * $item->shareIn($month);
            }

            return $sum;
        }, $months);
    }

    /**
     * What is kept of those items that pay in one of the months at least, and keeps what is drawn for it.
     *
     * @param list<ForecastItem> $items
     * @param list<Month>        $months
     */
    private function recall(array $items, array $months): void
    {
        $paying = array_values(array_filter(
            $items,
            static fn(ForecastItem $item): bool => array_filter($months, $item->paysIn(...)) !== [],
        ));
        $this->drawn += $this->kept?->drawn($paying, $this->draw(...)) ?? [];
    }

    /** @return list<float> one per draw */
    private function drawn(ForecastItem $item): array
    {
        return $this->drawn[$item->name] ??= $this->draw($item);
    }

    /** @return list<float> */
    private function draw(ForecastItem $item): array
    {
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(hash('sha256', $this->seed."\n".$item->name, true)));
        $most = (1 << 52) - 1;
        $gains = [];
        for ($draw = 0; $draw < $this->draws; ++$draw) {
            // Four numbers above 0 and below 1, whether they are needed or not, so that each draw has its own.
            $moves = ($random->getInt(0, $most) + .5) / 2 ** 52;
            $place = ($random->getInt(0, $most) + .5) / 2 ** 52;
            $radius = ($random->getInt(0, $most) + .5) / 2 ** 52;
            $angle = ($random->getInt(0, $most) + .5) / 2 ** 52;
            $gain = $moves < $item->effect ? $item->gains->at($place) : 0.0;
            // Box and Muller 1958.
            $gains[] =
                $gain === 0.0
                    ? 0.0
                    : $gain * exp($this->sigma * (sqrt(-2 * log($radius)) * cos(2 * M_PI * $angle)) - $this->sigma ** 2 / 2);
        }

        return $gains;
    }
}
