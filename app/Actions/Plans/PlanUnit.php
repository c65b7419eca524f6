<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Support\Catalogue\WeighedRow;
use GreaterReach\Core\Priority\TacticLabel;

/** What can be planned: a topic, as the page that serves it, or a single keyword. */
final readonly class PlanUnit
{
    /** @param list<WeighedRow> $open keywords, in key order */
    public function __construct(
        public string $name,
        public string $lead,
        public ?string $ownUrl,
        public TacticLabel $tactic,
        /** Of the lead; null where unknown. */
        public ?float $winChance,
        /** Visits a month; null where unknown. */
        public ?float $gain,
        public array $open,
    ) {
    }
}
