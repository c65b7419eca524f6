<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

/** Where the draws of items are kept: one item of a plan changes at a time, and those of the others stay what they are. */
interface DrawCache
{
    /**
     * @param list<ForecastItem>                   $items each under a name of its own
     * @param \Closure(ForecastItem): list<float> $draw  draws what is not kept
     *
     * @return array<array-key, list<float>> name of the item → what it gains in each draw, at a mean month and paying in full
     */
    public function drawn(array $items, \Closure $draw): array;
}
