<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Support\Catalogue\RowCatalogue;
use App\Support\Database\Figures;
use GreaterReach\Core\Priority\Weights;

/**
 * The priority and the order of opportunities as SQL over stored scores, so that a moved weight re-orders a million rows
 * without computing them again. The rules are `Weights::priorityOf()` and `Order` of the core; a test holds the two
 * together on random data.
 */
final class PrioritySql
{
    /** What decides where priorities are equal. */
    public const BEYOND = 'gain DESC NULLS LAST, difficulty ASC NULLS LAST, keyword';

    /** Σ weight·score ÷ Σ weight over the scores that are known, summed in the core's order. */
    public static function expression(Weights $weights): string
    {
        $sum = $total = [];
        foreach ($weights->toArray() as $criterion => $weight) {
            if ($weight > 0) {
                $number = Figures::exact($weight).'::float8';
                $score = RowCatalogue::score($criterion);
                $sum[] = "coalesce({$number} * {$score}, 0)";
                $total[] = "CASE WHEN {$score} IS NULL THEN 0 ELSE {$number} END";
            }
        }

        return '(('.implode(' + ', $sum).') / nullif('.implode(' + ', $total).', 0))';
    }

    public static function order(Weights $weights): string
    {
        return '(gain IS NULL), '.self::expression($weights).' DESC NULLS LAST, '.self::BEYOND;
    }
}
