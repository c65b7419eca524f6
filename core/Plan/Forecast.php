<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Statistics\Quantile;
use GreaterReach\Core\Winning\Effects;
use GreaterReach\Core\Winning\Shifts;

/**
 * What a plan adds month by month, by seeded draws. In each, what work brings is drawn once for all new and once for all existing pages,
 * since what we do not know of ourselves is common to all items of a kind; for each item one number gives all its keywords their places,
 * and its volume is lognormal with mean 1. All this is the same for an item in whatever plan it stands.
 */
final class Forecast
{
    /** @var array<array-key, list<float>> item → what it gains in each draw, at a mean month and paying in full */
    private array $drawn = [];

    /** @var ?list<Shifts> one per draw */
    private ?array $shifts = null;

    public function __construct(
        /** Draws, ≥ 1. */
        private readonly int $draws,
        /** Sigma of the logarithm of the volume, ≥ 0. */
        private readonly float $sigma,
        private readonly int $seed,
        private readonly Effects $effects,
        private readonly ?DrawCache $kept = null,
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
        $bands = [];
        foreach ($months as $month) {
            $drawn = $this->totals($items, $month);
            sort($drawn);
            $bands[] = new Band(
                Quantile::ofSorted($drawn, 0.1),
                Quantile::ofSorted($drawn, 0.5),
                Quantile::ofSorted($drawn, 0.9),
                array_sum($drawn) / $this->draws,
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
        $random = $this->random("item\n".$item->name);
        $gains = [];
        foreach ($this->shifts() as $shifts) {
            // Three numbers, whether they are needed or not, so that each draw has its own.
            [$place, $radius, $angle] = [$random(), $random(), $random()];
            $gain = $item->gains->at($place, $shifts);
            // Box and Muller 1958.
            $gains[] = $gain === 0.0
                ? 0.0
                : $gain * exp($this->sigma * (sqrt(-2 * log($radius)) * cos(2 * M_PI * $angle)) - $this->sigma ** 2 / 2);
        }

        return $gains;
    }

    /** @return list<Shifts> one per draw, common to all items */
    private function shifts(): array
    {
        if ($this->shifts === null) {
            $random = $this->random('effects');
            $this->shifts = [];
            for ($draw = 0; $draw < $this->draws; ++$draw) {
                $this->shifts[] = Shifts::drawn($this->effects, $random(), $random());
            }
        }

        return $this->shifts;
    }

    /** @return \Closure(): float gives numbers above 0 and below 1, one after the other */
    private function random(string $name): \Closure
    {
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(hash('sha256', $this->seed."\n".$name, true)));
        $most = (1 << 52) - 1;

        return static fn(): float => ($random->getInt(0, $most) + .5) / 2 ** 52;
    }
}
