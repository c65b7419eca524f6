<?php

declare(strict_types=1);

namespace GreaterReach\Core\Metrics;

/** Where metrics came from: one list, one rankings file of a domain, one pull. */
final readonly class MetricSource
{
    public function __construct(
        public int $id,
        /** keywords or rankings; lists or pulls for figures about domains. */
        public string $kind,
        /** YYYY-MM-DD. */
        public string $day,
        /** 0 for our domain, then the competitors as listed; null for a list, or a domain that is not compared. */
        public ?int $place = null,
        public ?string $channel = null,
    ) {
    }
}
