<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Comparison\ComparisonRow;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\PageKind;

/** All that is known of a keyword before it is weighed. */
final readonly class Candidate
{
    public function __construct(
        public ComparisonRow $row,
        public Metrics $metrics,
        public Judgement $judgement,
        /** Ours, at the topic that was found. */
        public Ground $ground,
        /** Median referring domains of the pages on page one; null where not known. */
        public ?float $pageOneMedian = null,
        /** Referring domains that our ranking page has. */
        public int $ownPageLinks = 0,
        public ?MeasuredClicks $measured = null,
        /** Whether we have a page for its topic. */
        public bool $hasPage = false,
        /** Two or more of our pages rank near for it. */
        public bool $hasPageConflict = false,
        /** Name of the topic: its primary keyword. */
        public ?string $topic = null,
        /** @var list<string> of the results page, as any ranking tells them */
        public array $features = [],
    ) {
    }

    public function pageKind(): PageKind
    {
        return $this->hasPage ? PageKind::Existing : PageKind::New;
    }
}
