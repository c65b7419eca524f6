<?php

declare(strict_types=1);

namespace App\Support\Rows;

use App\Support\Catalogue\RowCatalogue;
use App\Support\Database\Figures;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Results\RoundedFigure;

/**
 * The priority and the order of opportunities as SQL over stored scores, so that a moved weight re-orders a million rows
 * without computing them again. The rules are `Weights::priorityOf()` and `OpportunityOrder` of the core; a test holds the two
 * together on random data.
 */
final class PrioritySql
{
    /** What decides where priorities are equal. */
    public const BEYOND = self::BEFORE_NAME.self::KEYWORD;
    public const BEYOND_TOPICS = self::BEFORE_NAME.'topic';
    public const KEYWORD = 'comparison_rows.keyword';
    private const BEFORE_NAME = 'round(gain * 1e9) DESC NULLS LAST, difficulty ASC NULLS LAST, ';

    /** 0 where the expected gain is known, 1 where the gain alone is, else 2. */
    public const PART = 'CASE WHEN expected_gain IS NOT NULL THEN 0 WHEN gain IS NOT NULL THEN 1 ELSE 2 END';

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

    /** @param string $name column that decides where all else is equal: the keyword, or the topic */
    public static function order(Weights $weights, string $name = self::KEYWORD): string
    {
        return self::orderBy(self::expression($weights), $name);
    }

    /** The same with a priority that has a name already. */
    public static function orderBy(string $priority, string $name = self::KEYWORD): string
    {
        return self::PART.', '.self::compared($priority).' DESC NULLS LAST, '.self::BEFORE_NAME.$name;
    }

    /** A figure as it is compared: what differs in the tenth decimal is alike. */
    private static function compared(string $figure): string
    {
        return "round({$figure} * 1e".RoundedFigure::DECIMALS.')';
    }
}
