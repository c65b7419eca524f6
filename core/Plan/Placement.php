<?php

declare(strict_types=1);

namespace GreaterReach\Core\Plan;

use GreaterReach\Core\Exception\InvalidArgument;

/** Where an item stands in a plan, by number of the month, the first 0. */
final readonly class Placement
{
    public function __construct(
        public WorkItem $item,
        public int $begins,
        /** It starts to pay at the end of this month; later than it begins only when it is spread. */
        public int $ends,
    ) {
        InvalidArgument::unless(
            $begins >= 0 && $ends >= $begins,
            'Work begins in the first month or later, and ends no earlier than it begins.',
        );
    }
}
