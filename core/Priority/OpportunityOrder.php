<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

/** The order of opportunities: known gain before unknown; priority; gain; lower difficulty, unknown last; keyword key. */
final readonly class OpportunityOrder
{
    public function __construct(private Weights $weights)
    {
    }

    public function compare(Opportunity $one, Opportunity $other): int
    {
        return ($one->clicks->gain === null) <=> ($other->clicks->gain === null)
            ?: self::highFirst($this->weights->priorityOf($one->scores), $this->weights->priorityOf($other->scores))
            ?: self::beyondPriority($one, $other);
    }

    /** What decides where priorities are equal. */
    public static function beyondPriority(Opportunity $one, Opportunity $other): int
    {
        return self::highFirst($one->clicks->gain, $other->clicks->gain)
            ?: self::lowFirst($one->candidate->metrics->difficulty, $other->candidate->metrics->difficulty)
            ?: strcmp($one->candidate->row->keyword, $other->candidate->row->keyword);
    }

    private static function highFirst(?float $one, ?float $other): int
    {
        return ($one === null) <=> ($other === null) ?: $other <=> $one;
    }

    private static function lowFirst(?float $one, ?float $other): int
    {
        return ($one === null) <=> ($other === null) ?: $one <=> $other;
    }
}
