<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Comparison\ComparisonRow;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Winning\Ground;

/** All that is known of a keyword before it is weighed. */
final readonly class Candidate
{
    public function __construct(
        public ComparisonRow $row,
        public Metrics $metrics,
        public Judgement $judgement,
        /** Ours. */
        public Ground $ground,
        /** Median referring domains of the pages on page one; null where not known. */
        public ?float $pageOneMedian = null,
        /** Referring domains that our ranking page has. */
        public int $ownPageLinks = 0,
        public ?MeasuredClicks $measured = null,
        /** One of our URLs ranks within 50 for another keyword of the same topic. */
        public bool $topicHasOwnPage = false,
        /** Name of the topic: its primary keyword. */
        public ?string $topic = null,
        /** @var list<string> of the results page, as any ranking tells them */
        public array $features = [],
    ) {
    }
}
