<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Results\RoundedFigure;

/**
 * The order of opportunities: known expected gain, then known gain, then the rest; within each by priority, gain, lower difficulty, unknown
 * last, and keyword key.
 */
final readonly class OpportunityOrder
{
    /** The order has so many parts, from what is known best. */
    public const PARTS = 3;

    public function __construct(private Weights $weights)
    {
    }

    public function compare(Opportunity $one, Opportunity $other): int
    {
        return self::part($one) <=> self::part($other)
            ?: self::highFirst($this->weights->priorityOf($one->scores), $this->weights->priorityOf($other->scores))
            ?: self::beyondPriority($one, $other);
    }

    /** 0 where the expected gain is known, 1 where the gain alone is, else 2. */
    public static function part(Opportunity $one): int
    {
        return $one->work->expectedGain !== null ? 0 : ($one->work->gain !== null ? 1 : 2);
    }

    /** What decides where priorities are equal. */
    public static function beyondPriority(Opportunity $one, Opportunity $other): int
    {
        return self::highFirst($one->work->gain, $other->work->gain)
            ?: self::lowFirst($one->candidate->metrics->difficulty, $other->candidate->metrics->difficulty)
            ?: strcmp($one->candidate->row->keyword, $other->candidate->row->keyword);
    }

    private static function highFirst(?float $one, ?float $other): int
    {
        return ($one === null) <=> ($other === null) ?: RoundedFigure::of((float) $other) <=> RoundedFigure::of((float) $one);
    }

    private static function lowFirst(?float $one, ?float $other): int
    {
        return ($one === null) <=> ($other === null) ?: $one <=> $other;
    }
}
