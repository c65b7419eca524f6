<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Statistics\Quantile;

/**
 * What a plan adds month by month, by seeded draws: each item is won or not with its win chance, and its volume is
 * lognormal with median 1 and spread sigma. Both are drawn once per item and draw, and hold for all months.
 */
final readonly class Forecast
{
    public function __construct(
        /** Draws, ≥ 1. */
        private int $draws,
        /** Sigma of the logarithm of the volume, ≥ 0. */
        private float $sigma,
        private int $seed,
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
        $visits = array_map(
            static fn(Month $month): array => array_map(static fn(ForecastItem $item): float => $item->visitsIn($month), $items),
            $months,
        );
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($this->seed));
        $totals = array_fill(0, \count($months), []);
        for ($draw = 0; $draw < $this->draws; ++$draw) {
            $factors = array_map(fn(ForecastItem $item): float => $this->factor($item, $random), $items);
            foreach ($visits as $number => $ofMonth) {
                $totals[$number][] = self::sum($factors, $ofMonth);
            }
        }
        $bands = [];
        foreach ($totals as $number => $drawn) {
            sort($drawn);
            $bands[] = new Band(
                Quantile::ofSorted($drawn, 0.1),
                Quantile::ofSorted($drawn, 0.5),
                Quantile::ofSorted($drawn, 0.9),
                $this->mean($items, $visits[$number]),
            );
        }

        return $bands;
    }

    /**
     * The exact means without any draws.
     *
     * @param list<ForecastItem> $items
     * @param list<Month>        $months
     *
     * @return list<float> one per month
     */
    public function means(array $items, array $months): array
    {
        return array_map(
            fn(Month $month): float => $this->mean(
                $items,
                array_map(static fn(ForecastItem $item): float => $item->visitsIn($month), $items),
            ),
            $months,
        );
    }

    /**
     * The mean over all draws there could be: Σ win chance · visits · e^(sigma² ÷ 2), the mean of a lognormal.
     *
     * @param list<ForecastItem> $items
     * @param list<float>        $visits
     */
    private function mean(array $items, array $visits): float
    {
        $sum = 0.0;
        foreach ($items as $number => $item) {
            $sum += $item->winChance * $visits[$number];
        }

        return $sum * exp($this->sigma ** 2 / 2);
    }

    private function factor(ForecastItem $item, \Random\Randomizer $random): float
    {
        $isWon = self::uniform($random) < $item->winChance;
        // Box and Muller 1958.
        $normal = sqrt(-2 * log(self::uniform($random))) * cos(2 * M_PI * self::uniform($random));

        return $isWon ? exp($this->sigma * $normal) : 0.0;
    }

    private static function uniform(\Random\Randomizer $random): float
    {
        return ($random->getInt(0, (1 << 52) - 1) + .5) / 2 ** 52;
    }

    /**
     * @param list<float> $factors
     * @param list<float> $visits
     */
    private static function sum(array $factors, array $visits): float
    {
        $sum = 0.0;
        foreach ($factors as $number => $factor) {
            $sum += $factor * $visits[$number];
        }

        return $sum;
    }
}
